import Papa from 'papaparse';
import { message } from '@zinc-ledger/core';
import { ask } from '$lib/server/ask';
import { csvFile } from '$lib/server/out/csv-file';
import { refuse } from '$lib/server/refuse';
import { trendOfSet } from '$lib/server/service';
import { findSet } from '$lib/server/springs';

/** A set's mean load at its nominal height by visit, as open CSV in SI units. */
export async function GET({ params }) {
	const set = await ask((db) => findSet(db, params.id));
	if (!set) refuse(404, message('server.unknown', { what: 'set' }));
	const rows = await ask((db) => trendOfSet(db, params.id));
	const lines = rows.map((row) => ({
		Set: set.name,
		Visit: row.visit,
		Springs: row.springs,
		'Height, mm': row.height,
		'Mean load, N': Number(row.load).toFixed(2),
		'Spread, N': Number(row.spread).toFixed(2),
		'Hours, h': row.hours,
		Runs: row.runs,
		'Distance, km': row.kilometres
	}));
	return csvFile('set-over-service.csv', Papa.unparse(lines));
}
