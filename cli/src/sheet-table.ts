import {
	COLUMNS,
	FIGURES,
	showLength,
	showLoad,
	showSpeed,
	type FigureDimension,
	type FigureName,
	type Job,
	type Millimetres,
	type Newtons,
	type RevolutionsPerMinute,
	type Sheet,
	type StationSheet,
	type Units,
	type Verdict
} from '@zinc-ledger/core';
import { label, write } from '@zinc-ledger/words';

/** How a state is marked in plain text; a clear figure stays quiet. */
const MARK = { clear: ' ', 'not-measured': ' ', watch: '!', inconclusive: '~', stop: '#' } as const;

/** The sheet as fixed-width text, one line a station. */
export function sheetTable(job: Job, sheet: Sheet, units: Units): string {
	const columns = COLUMNS.filter((name) => sheet.stations.some(({ figures }) => figures[name]));
	const width = (name: FigureName) => Math.max(9, label('figure', name).length + 1);
	const row = ({ label: station, figures, remarks }: StationSheet) =>
		[
			station.padEnd(5),
			...columns.map((name) => cell(figures[name], name, width(name), units)),
			'  ',
			remarks.map((remark) => write(remark.text, units)).join('; ')
		]
			.join('')
			.trimEnd();
	const states = (['watch', 'inconclusive', 'stop'] as const).map(
		(state) => `${MARK[state]} ${label('state', state)}`
	);
	const lines = [
		`${job.number}  ${job.engine.name}  (${units.length}, ${units.load})   ${states.join('  ')}`,
		'',
		[
			''.padEnd(5),
			...columns.map((name) => `${label('figure', name).padStart(width(name))} `)
		].join(''),
		...sheet.stations.map(row),
		...sheet.fit
			.filter((finding) => finding.outcome === 'fails' && finding.severity !== 'note')
			.map(
				({ severity, acceptance, rule, kind, stations, compared }) =>
					`${MARK[severity as 'watch' | 'stop']} ${rule} ${stations.join(' ') || label('kind', kind)}: ${write(compared, units)}${acceptance ? ` (accepted: ${acceptance.reason})` : ''}`
			),
		...sheet.remarks.map((remark) => `${MARK[remark.state]} ${write(remark.text, units)}`)
	];
	return `${lines.join('\n')}\n`;
}

function cell(verdict: Verdict | null, name: FigureName, width: number, units: Units): string {
	const figure = verdict?.figure ?? null;
	const shown = figure === null ? '·' : shownAs(FIGURES[name].dimension, figure, units);
	return `${shown.padStart(width)}${MARK[verdict?.state ?? 'clear']}`;
}

function shownAs(dimension: FigureDimension, figure: number, units: Units): string {
	if (dimension === 'speed') return showSpeed(figure as RevolutionsPerMinute);
	return dimension === 'load'
		? showLoad(figure as Newtons, units)
		: showLength(figure as Millimetres, units);
}
