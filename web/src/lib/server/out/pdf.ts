/** The signed sheet on paper, and the label for the head, by pdfmake with fonts that ship with the app. */
import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import {
	KINDS,
	lengthOf,
	showLength,
	walk,
	type Drawing,
	type Job,
	type Kind,
	type Millimetres,
	type State
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import { capital, shortDate } from '$lib/ui/words';
import { headPlanSvg, sectionSvg } from './drawing';
import { outColumns, type FrozenSheet, type SignedOut } from './frozen';

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

const COLOURS: Partial<Record<State, string>> = {
	stop: '#a9211c',
	watch: '#855400',
	inconclusive: '#4a4f9c'
};
const SOFT = '#4f5a5e';
/**
 * A text in the font of figures. Spaces are set in the other font: in the file
 * of this one the space lies at the very end, where its reader stumbles.
 */
const inFigures = (text: string): Content[] =>
	text.split(/( +)/).map((part) => ({ text: part, font: part.trim() === '' ? 'Text' : 'Figures' }));

/** A state in one sign beside its figure; the key at the foot of the page names them. */
const SIGNS: Partial<Record<State, string>> = { stop: '#', watch: '!', inconclusive: '~' };

export type Size = 'A4' | 'Letter';
const WIDTHS: Readonly<Record<Size, number>> = { A4: 595.28, Letter: 612 };
const MARGIN = 34;

const made = (document: TDocumentDefinitions): Promise<Buffer> =>
	pdfmake.createPdf(document).getBuffer();

const infoOf = ({ job, signing }: SignedOut): NonNullable<TDocumentDefinitions['info']> => ({
	title: `${job.number} ${job.engine.name}, sheet ${signing.revision}`,
	author: signing.person.name,
	creationDate: new Date(signing.at)
});

/**
 * The sheet: one page for up to sixteen stations.
 *
 * @param isCustomers leaves out what is to stay in the shop
 */
export function sheetPdf(signed: SignedOut, size: Size, isCustomers: boolean): Promise<Buffer> {
	const { job, signing, sheet } = signed;
	const width = WIDTHS[size] - 2 * MARGIN;
	return made({
		pageSize: size === 'A4' ? 'A4' : 'LETTER',
		pageMargins: [MARGIN, 30, MARGIN, 44],
		info: infoOf(signed),
		defaultStyle: { font: 'Text', fontSize: 8, lineHeight: 1.1, color: '#171d1f' },
		content: [
			head(signed, isCustomers),
			rule(width, 2),
			{ svg: headPlanSvg(job, sheet.stations, width), margin: [0, 7, 0, 6] },
			figures(sheet, job),
			{
				columns: [...KINDS.map((kind) => partsOfKind(job, sheet, kind)), drawn(signed)],
				columnGap: 14,
				margin: [0, 8, 0, 0]
			},
			...said(signed, sheet, isCustomers)
		],
		footer: (page, pages) => ({
			margin: [MARGIN, 4, MARGIN, 0],
			fontSize: 6.5,
			color: SOFT,
			columns: [
				{
					width: '*',
					text: [
						`Sheet ${signing.revision} of job ${job.number}, signed by ${signing.person.name}, ${signing.at.slice(0, 16).replace('T', ' ')} UTC. SHA-256 `,
						{ text: inFigures(signed.sha256) },
						signing.supersedes
							? `. Supersedes the sheet with SHA-256 ${signing.supersedes.sha256.slice(0, 16)}…`
							: '',
						'. The makers’ instructions for springs, cam and engine come first; these figures do not replace them.'
					]
				},
				{ width: 40, alignment: 'right', text: `${page} of ${pages}` }
			]
		})
	});
}

function head({ job, signing }: SignedOut, isCustomers: boolean): Content {
	const { use } = job.setup;
	const duty = [use.duty, use.engineSpeed && `to ${use.engineSpeed.toLocaleString('en')} rpm`];
	return {
		columns: [
			{
				width: '*',
				stack: [
					{ text: job.engine.name, fontSize: 16, bold: true },
					`${job.customer.name}${job.customer.contact ? `, ${job.customer.contact}` : ''} · ${duty.filter(Boolean).join(', ')}`
				]
			},
			{
				width: 170,
				alignment: 'right',
				stack: [
					{ text: inFigures(job.number), bold: true, fontSize: 16 },
					`received ${shortDate(job.takenIn)} · signed ${shortDate(signing.at)} · sheet ${signing.revision}${isCustomers ? ' · customer’s copy' : ''}`
				]
			}
		]
	};
}

const rule = (width: number, lineWidth: number): Content => ({
	canvas: [{ type: 'line', x1: 0, y1: 3, x2: width, y2: 3, lineWidth }]
});

function figures(sheet: FrozenSheet, job: Job): Content {
	const columns = outColumns(sheet);
	const of = new Map(sheet.stations.map((station) => [station.label, station]));
	const rows = walk(job.stations, job.setup.measuringOrder).flatMap(
		({ label }) => of.get(label) ?? []
	);
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
				...rows.map((station): TableCell[] => [
					{ text: inFigures(station.label), bold: true },
					...columns.map(({ of: cell }): TableCell => {
						const own = cell(station);
						if (!own) return { text: '·', alignment: 'right', color: SOFT };
						return {
							text: inFigures(`${SIGNS[own.state] ?? ''}${own.text}`),
							alignment: 'right',
							color: COLOURS[own.state] ?? '#171d1f',
							bold: own.state !== 'clear'
						};
					})
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

function partsOfKind(job: Job, sheet: FrozenSheet, kind: Kind): Column {
	const setup = job.setup.kinds[kind];
	const { lift, bind, target } = sheet.kinds[kind];
	const units = sheet.units.sentences;
	const length = (figure: number) => showLength(figure as Millimetres, units);
	const lines: (readonly [string, string | undefined])[] = [
		['Spring', setup.spring?.name],
		['Retainer', setup.retainer?.name],
		['Locks', setup.locks?.name],
		['Locator', setup.locator?.name],
		['Seal', setup.seal?.name],
		['Lift', lift ? `${length(lift.gross)} gross, ${length(lift.net)} net` : undefined],
		[
			'Coil bind',
			bind ? `${length(bind.height)}${bind.first ? `, ${bind.first} first` : ''}` : undefined
		],
		[
			'Target',
			target.height === null
				? target.because
				: `${length(target.height)} by ${label('targetMethod', setup.aim.method)}`
		],
		...(setup.lash
			? [
					[
						'Lash',
						`${length(lengthOf(setup.lash.setting))} ± ${length(lengthOf(setup.lash.tolerance))}, ${setup.lash.engine}`
					] as const
				]
			: [])
	];
	return {
		width: '*',
		stack: [
			{ text: `${capital(kind)}s`, bold: true },
			{ ...(rule(150, 0.6) as object), margin: [0, 0, 0, 4] } as Content,
			...lines.map(([name, value]): Content => ({
				columns: [
					{ width: 42, text: name, color: SOFT },
					{ width: '*', text: value ?? 'not given' }
				]
			}))
		]
	};
}

/** The section as it was signed; a sheet that froze none has none. */
function drawn({ section }: SignedOut): Column {
	return {
		width: 170,
		stack: section
			? [
					{ svg: sectionSvg(section.drawing as unknown as Drawing, 170, 190), width: 170 },
					{
						text: `${section.station}: closed on the left, full lift on the right`,
						fontSize: 6.5,
						color: SOFT
					}
				]
			: []
	};
}

/** Remarks, what was accepted and why, lash, notes. */
function said(signed: SignedOut, sheet: FrozenSheet, isCustomers: boolean): Content[] {
	const { job } = signed;
	const nameOf = (id: string) => job.people.find((person) => person.id === id)?.name ?? '';
	const remarks = sheet.stations.flatMap(({ label: station, remarks: own }) =>
		own
			.filter(({ state }) => state !== 'not-measured' && state !== 'clear')
			.map(({ state, text }) => `${SIGNS[state] ?? ''} ${station}: ${text}.`)
	);
	const accepted = signed.open.flatMap(({ place, text, accepted: by }) =>
		by ? [`${place}: ${text}. Accepted by ${by.by}: ${by.reason}`] : []
	);
	const lash = [
		...new Set(
			sheet.stations.flatMap(({ inForce: { lash: one } }) =>
				one
					? [
							`${one.lash?.as === 'found' ? 'found' : 'set'} ${one.engine ?? 'cold'} by ${nameOf(one.person)}, ${shortDate(one.at)}${one.lash?.marked ? ', marked' : ''}`
						]
					: []
			)
		)
	];
	const notes = job.notes
		.filter((note) => !note.resolves && !(isCustomers && note.private))
		.map(
			({ station, text, person }) => `${station ? `${station}: ` : ''}${text} (${nameOf(person)})`
		);
	const measured = [...new Set(job.readings.map(({ person }) => nameOf(person)))].join(', ');
	const block = (title: string, lines: readonly string[]): Content[] =>
		lines.length === 0
			? []
			: [
					{ text: title, bold: true, margin: [0, 5, 0, 0] },
					{ text: lines.join('  '), fontSize: 7 }
				];
	return [
		...block('Remarks', [...remarks, ...sheet.remarks.map(({ text }) => `${text}.`)]),
		...block('Accepted', accepted),
		...block('Lash', lash.length > 0 ? [`${lash.join('; ')}.`] : []),
		...block('Notes', notes),
		{
			margin: [0, 5, 0, 0],
			fontSize: 7,
			color: SOFT,
			text: `Measured by ${measured || 'nobody'}. # stop, ! watch, ~ too close to call; a figure without a sign is clear, a dot is not measured.`
		}
	];
}

/** A label for the head, 62 × 36 mm: what it is, and a code that opens the record. */
export function labelPdf(signed: SignedOut, address: string): Promise<Buffer> {
	const { job, signing } = signed;
	const mm = 72 / 25.4;
	return made({
		pageSize: { width: 62 * mm, height: 36 * mm },
		pageMargins: [7, 7, 7, 5],
		info: infoOf(signed),
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
							`sheet ${signing.revision}, ${signing.at.slice(0, 10)}`,
							signing.person.name,
							{ text: inFigures(signed.sha256.slice(0, 12)), fontSize: 6.5, color: SOFT }
						]
					}
				]
			}
		]
	});
}
