import {
	showLength,
	showLoad,
	showPhrase,
	type Job,
	type Millimetres,
	type Newtons,
	type Sheet,
	type StationSheet,
	type Units,
	type Verdict
} from '@zinc-ledger/core';

/** How a state is marked in plain text; a clear figure stays quiet. */
const MARK = {
	clear: ' ',
	'not measured': ' ',
	watch: '!',
	'too close': '~',
	stop: '#'
} as const;

/** The sheet as fixed-width text, one line a station. */
export function sheetTable(job: Job, sheet: Sheet, units: Units): string {
	const length = (verdict: Verdict<Millimetres> | null) =>
		cell(verdict, (figure) => showLength(figure, units));
	const load = (verdict: Verdict<Newtons>) => cell(verdict, (figure) => showLoad(figure, units));
	const row = ({ label, figures, remarks }: StationSheet) =>
		[
			label.padEnd(5),
			length(figures.height),
			load(figures.seatLoad),
			load(figures.openLoad),
			length(figures.bindMargin),
			length(figures.sealClearance),
			length(figures.lash),
			'  ',
			remarks.map((remark) => showPhrase(remark.text, units)).join('; ')
		]
			.join('')
			.trimEnd();

	const heads = ['height', 'seat', 'open', 'bind', 'seal', 'lash'];
	const lines = [
		`${job.number}  ${job.engine.name}  (${units.length}, ${units.load})   ! watch  ~ too close to call  # stop`,
		'',
		['valve'.padEnd(5), ...heads.map((head) => `${head.padStart(9)} `)].join(''),
		...sheet.stations.map(row),
		...sheet.fit
			.filter((finding) => finding.outcome === 'trips' && finding.severity !== 'note')
			.map(
				({ severity, acceptance, rule, kind, stations, compared }) =>
					`${MARK[severity as 'watch' | 'stop']} ${rule} ${stations.join(' ') || kind}: ${showPhrase(compared, units)}${acceptance ? ` (accepted: ${acceptance.reason})` : ''}`
			),
		...sheet.remarks.map((remark) => `${MARK[remark.state]} ${showPhrase(remark.text, units)}`)
	];
	return `${lines.join('\n')}\n`;
}

function cell<Q extends number>(verdict: Verdict<Q> | null, show: (figure: Q) => string): string {
	const text = verdict?.figure == null ? '·' : show(verdict.figure);
	return `${text.padStart(9)}${MARK[verdict?.state ?? 'clear']}`;
}
