import Papa from 'papaparse';
import type { SignedSheet } from '@zinc-ledger/core/signed';
import { cellOut } from '$lib/csv/cells';
import { frozen, outColumns } from './frozen';

/** A signed sheet as CSV: a line a valve, its figures, states and remarks. */
export function sheetCsv(signed: SignedSheet): string {
	const sheet = frozen(signed);
	const columns = outColumns(sheet);
	const rows = sheet.stations.map((station) => [
		cellOut(station.label),
		...columns.map(({ of }) => cellOut(of(station)?.text ?? '')),
		station.state,
		cellOut(station.remarks.map(({ text }) => text).join('; '))
	]);
	const heads = columns.map(({ title, unit }) => (unit ? `${title}, ${unit}` : title));
	return `${Papa.unparse([['Valve', ...heads, 'State', 'Remarks'], ...rows])}\r\n`;
}
