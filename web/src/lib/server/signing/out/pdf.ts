/** The signed sheet on paper, and the label for the head, by pdfmake with fonts that ship with the app. */
import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { CAUTION, NOT_LOOKED_AT, paperOf, UNMARKED, type Paper } from '$lib/signing/paper/layout';
import type { State, Units } from '@zinc-ledger/core';
import { COLOURS, headPlanSvg, scaleSvg, sectionSvg } from './drawing';
import type { SignedOut } from './signed-out';

const { resolve } = createRequire(import.meta.url);
const SANS = '@expo-google-fonts/archivo';
const MONO = '@expo-google-fonts/ibm-plex-mono';
// Drawings open their fonts by path, so these are files.
const FONTS = {
	Text: {
		normal: resolve(`${SANS}/400Regular/Archivo_400Regular.ttf`),
		bold: resolve(`${SANS}/600SemiBold/Archivo_600SemiBold.ttf`)
	},
	Figures: {
		normal: resolve(`${MONO}/400Regular/IBMPlexMono_400Regular.ttf`),
		bold: resolve(`${MONO}/600SemiBold/IBMPlexMono_600SemiBold.ttf`)
	}
};
const FONT_FILES = Object.values(FONTS).flatMap((font) => Object.values(font));
pdfmake.setFonts(FONTS);
// Nothing is fetched, and no file but these fonts is read.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path: string) => FONT_FILES.includes(path));

export const SOFT = '#4f5a5e';
/**
 * A text in the font of figures. Spaces are set in the other font: in the file
 * of this one the space lies at the very end, where its reader stumbles.
 */
export const inFigures = (text: string): Content[] =>
	text.split(/( +)/).map((part) => ({ text: part, font: part.trim() === '' ? 'Text' : 'Figures' }));

/** A state in one sign beside its figure; the key at the foot of the page names them. */
const SIGNS: Partial<Record<State, string>> = { stop: '#', watch: '!', inconclusive: '~' };

export type Size = 'A4' | 'Letter';
export const WIDTHS: Readonly<Record<Size, number>> = { A4: 595.28, Letter: 612 };
export const MARGIN = 34;

export const made = (document: TDocumentDefinitions): Promise<Buffer> =>
	pdfmake.createPdf(document).getBuffer();

export const infoOf = ({ job, signed }: SignedOut): NonNullable<TDocumentDefinitions['info']> => ({
	title: `${job.number} ${job.engine.name}, sheet ${signed.revision}`,
	author: signed.person,
	creationDate: new Date(signed.at)
});

/**
 * The sheet: one page for up to sixteen stations.
 *
 * @param isCustomers leaves out what is to stay in the shop
 */
export function sheetPdf(printed: SignedOut, size: Size, isCustomers: boolean): Promise<Buffer> {
	const width = WIDTHS[size] - 2 * MARGIN;
	const paper = paperOf(printed, isCustomers);
	return made({
		pageSize: size === 'A4' ? 'A4' : 'LETTER',
		pageMargins: [MARGIN, 30, MARGIN, 44],
		info: infoOf(printed),
		defaultStyle: { font: 'Text', fontSize: 8, lineHeight: 1.1, color: '#171d1f' },
		content: [
			head(paper),
			rule(width, 2),
			{ svg: headPlanSvg(paper.plan, width), margin: [0, 7, 0, 6] },
			figures(paper),
			{
				columns: [...paper.blocks.map(block), ...section(paper, printed.sheet.units.sentences)],
				columnGap: 12,
				margin: [0, 8, 0, 0]
			},
			...remarks(paper)
		],
		footer: (page, pages) => ({
			margin: [MARGIN, 4, MARGIN, 0],
			fontSize: 6.5,
			color: SOFT,
			columns: [
				{
					width: '*',
					text: [
						...(paper.signature
							? [
									`${paper.signature.text}. SHA-256 `,
									{ text: inFigures(paper.signature.sha256) },
									'. '
								]
							: []),
						CAUTION
					]
				},
				{ width: 40, alignment: 'right', text: `${page} of ${pages}` }
			]
		})
	});
}

function head({ title, customer, number, dates, scope }: Paper): Content {
	return {
		columns: [
			{
				width: '*',
				stack: [
					{ text: title, fontSize: 16, bold: true },
					customer,
					...(scope ? [{ text: scope, bold: true }] : [])
				]
			},
			{
				width: 170,
				alignment: 'right',
				stack: [{ text: inFigures(number), bold: true, fontSize: 16 }, dates]
			}
		]
	};
}

export const rule = (width: number, lineWidth: number): Content => ({
	canvas: [{ type: 'line', x1: 0, y1: 3, x2: width, y2: 3, lineWidth }]
});

function figures({ columns, rows }: Paper): Content {
	return {
		table: {
			headerRows: 1,
			dontBreakRows: true,
			widths: [26, ...columns.map(() => '*' as const)],
			body: [
				[
					{ text: 'Valve', color: SOFT, fontSize: 7 },
					...columns.map(({ title, unit }): TableCell => ({
						text: `${title}${unit ? `\n${unit}` : ''}`,
						alignment: 'right',
						color: SOFT,
						fontSize: 7
					}))
				],
				...rows.map(({ label, isLookedAt, cells }): TableCell[] => [
					{ text: inFigures(label), bold: true },
					...(isLookedAt
						? cells.map(figure)
						: cells.map((_, i) => ({
								text: i === 0 ? NOT_LOOKED_AT : '',
								color: SOFT,
								noWrap: true
							})))
				])
			]
		},
		layout: {
			hLineWidth: (line, node) =>
				line === 0 ? 0 : line === 1 || line === node.table.body.length ? 1 : 0.3,
			vLineWidth: () => 0,
			hLineColor: (line) => (line === 1 ? '#171d1f' : '#aeb8b9'),
			paddingTop: () => 1.8,
			paddingBottom: () => 1.2,
			paddingLeft: () => 2,
			paddingRight: () => 2
		}
	};
}

function figure(cell: Paper['rows'][number]['cells'][number]): TableCell {
	if (!cell) return { text: '·', alignment: 'right', color: SOFT };
	const { text, state, scale } = cell;
	return {
		stack: [
			{
				text: inFigures(`${SIGNS[state] ?? ''}${text}`),
				color: COLOURS[state] ?? '#171d1f',
				bold: state !== 'clear'
			},
			...(scale ? [{ svg: scaleSvg(scale, state, 30) }] : [])
		],
		alignment: 'right'
	};
}

const block = ({ title, lines }: Paper['blocks'][number]): Column => ({
	width: '*',
	stack: [
		{ text: title, bold: true },
		{ ...(rule(110, 0.6) as object), margin: [0, 0, 0, 4] } as Content,
		...lines.map(([name, value]): Content => ({
			columns: [
				{ width: lines.some(([one]) => one.length > 12) ? 68 : 42, text: name, color: SOFT },
				{ width: '*', text: value }
			]
		}))
	]
});

/** The section as it was signed; a sheet that froze none has none. */
const section = ({ section: drawn }: Paper, units: Units): Column[] =>
	drawn
		? [
				{
					width: 150,
					stack: [
						{ svg: sectionSvg(drawn.drawing, 150, 185, units), width: 150 },
						{ text: drawn.caption, fontSize: 6.5, color: SOFT }
					]
				}
			]
		: [];

const remarks = (paper: Paper): Content[] => [
	...paper.remarks.flatMap(({ title, lines }): Content[] => [
		{ text: title, bold: true, margin: [0, 5, 0, 0] },
		{
			text: lines
				.map(({ state, text }) => `${state ? `${SIGNS[state] ?? ''} ` : ''}${text}`)
				.join('  '),
			fontSize: 7
		}
	]),
	{
		margin: [0, 5, 0, 0],
		fontSize: 7,
		color: SOFT,
		text: `${paper.measured} # stop, ! watch, ~ too close to call. ${UNMARKED}`
	}
];

/** A label for the head, 62 × 36 mm: what it is, and a code that opens the record. */
export function labelPdf(printed: SignedOut, address: string): Promise<Buffer> {
	const { job, signed } = printed;
	const mm = 72 / 25.4;
	return made({
		pageSize: { width: 62 * mm, height: 36 * mm },
		pageMargins: [7, 7, 7, 5],
		info: infoOf(printed),
		defaultStyle: { font: 'Text', fontSize: 7.5, lineHeight: 1.05 },
		content: [
			{
				columns: [
					{ width: 72, qr: address, fit: 70 },
					{
						width: '*',
						stack: [
							{ text: inFigures(job.number), bold: true, fontSize: 17 },
							{ text: job.engine.name, bold: true },
							job.customer.name,
							`sheet ${signed.revision}, ${signed.at.slice(0, 10)}`,
							signed.person,
							{ text: inFigures(signed.sha256.slice(0, 12)), fontSize: 6.5, color: SOFT }
						]
					}
				]
			}
		]
	});
}
