import Papa from 'papaparse';
import { ask } from '$lib/server/ask';
import { csvFile } from '$lib/server/out/csv-file';
import { dueHeads } from '$lib/server/service';

const MOST = 10_000;

/** What every head's parts have run of their life, the most used first, as open CSV: hours, runs, km and a part of 1. */
export async function GET() {
	const rows = await ask((db) => dueHeads(db, 0, MOST));
	const lines = rows.map((row) => ({
		Engine: row.engine ?? '',
		Customer: row.customer ?? '',
		Head: row.mark ?? row.place,
		Part: row.part,
		Name: row.name ?? '',
		Parts: row.count,
		'Hours, h': row.hours,
		Runs: row.runs,
		'Distance, km': row.kilometres,
		'Life used': row.used?.toFixed(3) ?? ''
	}));
	return csvFile('service.csv', Papa.unparse(lines));
}
