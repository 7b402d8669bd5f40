/** The report of a return visit: one page, from the signed sheet. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { reportOf, type Report } from '$lib/visits/comparison/report';
import { infoOf, inFigures, made, MARGIN, rule, SOFT, WIDTHS, type Size } from './pdf';
import type { SignedOut } from './signed-out';

/** Changes since last visit with what was done and why, signed like the sheet it is part of. */
export function reportPdf(signed: SignedOut, size: Size): Promise<Buffer> {
	const { job, visit, sheet } = signed;
	const report = reportOf(visit!, job, sheet.units.sentences);
	const width = WIDTHS[size] - 2 * MARGIN;
	const heads = job.heads.map(({ name, mark }) => mark ?? name).join(' and ');
	return made({
		pageSize: size === 'A4' ? 'A4' : 'LETTER',
		pageMargins: [MARGIN, 30, MARGIN, 44],
		info: infoOf(signed),
		defaultStyle: { font: 'Text', fontSize: 9, lineHeight: 1.15, color: '#171d1f' },
		content: [
			{
				columns: [
					{
						width: '*',
						stack: [
							{ text: 'Changes since last visit', fontSize: 16, bold: true },
							`${job.engine.name}, ${heads}`,
							job.customer.name
						]
					},
					{
						width: 170,
						alignment: 'right',
						stack: [
							{ text: inFigures(job.number), bold: true, fontSize: 16 },
							`sheet ${signed.signed.revision}, ${signed.signed.at.slice(0, 10)}`
						]
					}
				]
			},
			rule(width, 2),
			...part('Since it was here', report.since),
			...part('What was found', report.found),
			...(report.rows.length > 0 ? [moved(report)] : []),
			...part('What was done', report.done)
		],
		footer: () => ({
			margin: [MARGIN, 4, MARGIN, 0],
			fontSize: 6.5,
			color: SOFT,
			text: [
				`Signed by ${signed.signed.person}, ${signed.signed.at.slice(0, 10)}, with sheet ${signed.signed.revision}. SHA-256 `,
				{ text: inFigures(signed.signed.sha256) },
				'. Compared over the same parts, shims taken off, loads at the same height; lash as it was found.'
			]
		})
	});
}

const part = (title: string, lines: readonly string[]): Content[] => [
	{ text: title, bold: true, margin: [0, 9, 0, 1] },
	...lines
];

function moved({ columns, rows }: Report): Content {
	const head = (text: string): TableCell => ({ text, color: SOFT, fontSize: 7 });
	return {
		margin: [0, 6, 0, 0],
		table: {
			headerRows: 1,
			dontBreakRows: true,
			widths: [26, ...columns.map(() => 'auto' as const), '*'],
			body: [
				[
					head('Valve'),
					...columns.map(({ title, unit }) => head(`${title}\n${unit}`)),
					head('What it looks like')
				],
				...rows.map(({ station, cells, looksLike }): TableCell[] => [
					{ text: inFigures(station), bold: true },
					...cells.map((cell): TableCell =>
						cell
							? {
									text: inFigures(cell.text),
									noWrap: true,
									bold: cell.isNews,
									fontSize: 7.5,
									...(!cell.isNews && { color: SOFT })
								}
							: { text: '·', color: SOFT }
					),
					{ text: looksLike, fontSize: 7.5 }
				])
			]
		},
		layout: 'lightHorizontalLines'
	};
}
