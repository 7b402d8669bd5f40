import Papa from 'papaparse';
import { message } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { csvFile } from '$lib/server/signing/out/csv-file';
import { refuse } from '$lib/server/http/refuse';
import { visitsOfSet } from '$lib/server/visits/service';
import { findSet } from '$lib/server/springs/springs';

/** A set's mean load at its nominal height by visit, as open CSV in SI units. */
export async function GET({ params }) {
	const set = await withDatabase((db) => findSet(db, params.id));
	if (!set) refuse(404, message('server.unknown', { what: 'set' }));
	const rows = await withDatabase((db) => visitsOfSet(db, params.id));
	const fields = [
		'Set',
		'Visit',
		'Springs',
		'Height, mm',
		'Mean load, N',
		'Spread, N',
		'Hours, h',
		'Runs',
		'Distance, km'
	];
	const data = rows.map((row) => [
		set.name,
		row.visit,
		row.springs,
		row.height,
		row.load.toFixed(2),
		row.spread.toFixed(2),
		row.hours,
		row.runs,
		row.kilometres
	]);
	return csvFile('set-over-service.csv', Papa.unparse({ fields, data }));
}
