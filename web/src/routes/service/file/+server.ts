import Papa from 'papaparse';
import { withDatabase } from '$lib/server/with-database';
import { csvFile } from '$lib/server/signing/out/csv-file';
import { dueHeads } from '$lib/server/visits/service';

/** Parts of every head of a shop of many years. */
const MAX = 1_000_000;
const ALL = { parts: MAX, rows: MAX };

/** What every head's limited parts have run of their life, the most used first, as open CSV: hours, runs, km and a part of 1. */
export async function GET() {
	const rows = await withDatabase((db) => dueHeads(db, 0, ALL));
	const fields = [
		'Engine',
		'Customer',
		'Head',
		'Part',
		'Name',
		'Parts',
		'Hours, h',
		'Runs',
		'Distance, km',
		'Life used'
	];
	const data = rows.map((row) => [
		row.engine ?? '',
		row.customer ?? '',
		row.mark ?? row.place,
		row.part,
		row.name ?? '',
		row.count,
		row.hours,
		row.runs,
		row.kilometres,
		row.used?.toFixed(3) ?? ''
	]);
	return csvFile('service.csv', Papa.unparse({ fields, data }));
}
