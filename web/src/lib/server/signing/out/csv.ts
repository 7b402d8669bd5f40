import Papa from 'papaparse';
import { label } from '@zinc-ledger/words';
import { FORMULA } from '$lib/csv/cells';
import { NOT_LOOKED_AT } from '$lib/signing/paper/layout';
import { inspectedColumns, printedColumns } from '$lib/signing/paper/printed';
import type { SignedOut } from './signed-out';

/** A signed sheet as CSV: a line a valve, its figures, states and remarks. */
export function sheetCsv({ sheet, signed: { scope } }: SignedOut): string {
	const isIn = ({ label: station }: { label: string }) => scope?.stations.includes(station) ?? true;
	const columns = [...printedColumns(sheet), ...inspectedColumns(sheet)];
	const rows = sheet.stations.map((station) => [
		station.label,
		...columns.map(({ of }) => (isIn(station) ? (of(station)?.text ?? '') : '')),
		isIn(station) ? label('state', station.state) : NOT_LOOKED_AT,
		isIn(station) ? station.remarks.map(({ text }) => text).join('; ') : ''
	]);
	const heads = columns.map(({ title, unit }) => (unit ? `${title}, ${unit}` : title));
	const table = [['Valve', ...heads, 'State', 'Remarks'], ...rows];
	return `${Papa.unparse(table, { escapeFormulae: FORMULA })}\r\n`;
}
