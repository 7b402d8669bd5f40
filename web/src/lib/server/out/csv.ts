import Papa from 'papaparse';
import { label } from '@zinc-ledger/words';
import { cellOut } from '$lib/csv/cells';
import { printedColumns } from '$lib/paper/printed';
import type { SignedOut } from './signed-out';

/** A signed sheet as CSV: a line a valve, its figures, states and remarks. */
export function sheetCsv({ sheet }: SignedOut): string {
	const columns = printedColumns(sheet);
	const rows = sheet.stations.map((station) => [
		cellOut(station.label),
		...columns.map(({ of }) => cellOut(of(station)?.text ?? '')),
		label('state', station.state),
		cellOut(station.remarks.map(({ text }) => text).join('; '))
	]);
	const heads = columns.map(({ title, unit }) => (unit ? `${title}, ${unit}` : title));
	return `${Papa.unparse([['Valve', ...heads, 'State', 'Remarks'], ...rows])}\r\n`;
}
