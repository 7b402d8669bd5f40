/** Pictures of the core as SVG for the PDF. */
import {
	headPlan,
	sectionPicture,
	type DimensionLine,
	type Drawing,
	type Role,
	type Scale,
	type Shape,
	type State,
	type Units,
	type Millimetres,
	showLength
} from '@zinc-ledger/core';
import type { Paper } from '$lib/signing/paper/layout';

const INK = '#171d1f';
const SOFT = '#4f5a5e';
const METAL = '#aeb8b9';
const LIGHT = '#e1e5e4';
const DARK = '#6d7a7e';
/** The colour of a state on paper; a clear figure is plain ink. */
export const COLOURS: Partial<Record<State, string>> = {
	stop: '#a9211c',
	watch: '#855400',
	inconclusive: '#4a4f9c'
};

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
const svg = (width: number, height: number, shapes: readonly string[]) =>
	`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${shapes.join('')}</svg>`;

/** The mark of a state, about a point; each has a shape of its own. */
function mark(state: State, x: number, y: number): string {
	const colour = COLOURS[state];
	switch (state) {
		case 'stop':
			return `<rect x="${x - 3}" y="${y - 3}" width="6" height="6" fill="${colour}"/>`;
		case 'watch':
			return `<polygon points="${x},${y - 3.4} ${x + 3.6},${y + 3} ${x - 3.6},${y + 3}" fill="${colour}"/>`;
		case 'inconclusive':
			return `<path d="M${x - 3} ${y - 1.5}h6M${x - 3} ${y + 1.5}h6" stroke="${colour}" stroke-width="1.4"/>`;
		default:
			return '';
	}
}

/** Between heads, and how far apart the valves of a bore stand at most, in points. */
const GAP = 8;
const PITCH = 56;

/** The heads in plan as they lie on the bench, each valve with the state it was signed in. */
export function headPlanSvg({ job, stations }: Paper['plan'], width: number): string {
	const heads = headPlan(job);
	const own = (width - GAP * (heads.length - 1)) / heads.length;
	const height = heads[0]?.rows === 2 ? 66 : 46;
	const of = new Map(stations.map((station) => [station.label, station]));
	const shapes = heads.flatMap(({ bores, valves }, i) => {
		const left = i * (own + GAP);
		const pitch = own / bores.length;
		const radius = Math.min(height / 2 - 3, pitch / 2 - 2);
		return [
			`<rect x="${left}" y="0.5" width="${own}" height="${height - 1}" rx="6" fill="#f2f4f3" stroke="${METAL}"/>`,
			...bores.map(
				(bore) =>
					`<circle cx="${left + bore * own}" cy="${height / 2}" r="${radius}" fill="none" stroke="${METAL}" stroke-dasharray="2 2"/>`
			),
			...valves.map(({ label, kind, bore, aside, across }) => {
				const x = left + bore * own + aside * Math.min(PITCH, pitch);
				const y = height * across;
				const r = kind === 'intake' ? 10.5 : 9;
				return `<circle cx="${x}" cy="${y}" r="${r}" fill="#fff" stroke="${INK}"/><text x="${x}" y="${y + 2.6}" text-anchor="middle" font-family="Figures" font-size="7.5" fill="${INK}">${escaped(label)}</text>${mark(of.get(label)?.state ?? 'clear', x + r, y - r + 2)}`;
			})
		];
	});
	return svg(width, height, shapes);
}

const FILLS: Readonly<Record<Role, readonly [fill: string, line: string]>> = {
	pocket: [LIGHT, 'none'],
	casting: [LIGHT, 'none'],
	port: ['#fff', 'none'],
	'seat-insert': [DARK, 'none'],
	shim: ['#c8980b', INK],
	locator: [METAL, INK],
	guide: ['#d7d2c4', INK],
	seal: [INK, INK],
	garter: ['#fff', INK],
	coil: ['#cdd4d4', DARK],
	'inner-coil': ['#fff', DARK],
	damper: [METAL, DARK],
	retainer: [METAL, INK],
	lock: [DARK, INK],
	bead: [DARK, INK],
	valve: ['#fff', INK],
	cap: [DARK, INK],
	wafer: [DARK, INK],
	before: ['none', INK]
};

function shapeSvg(shape: Shape): string {
	const [fill, line] = FILLS[shape.role];
	const dashes = shape.isAssumed ? ' stroke-dasharray="1.2 1"' : '';
	const drawn = `fill="${fill}" stroke="${line}" stroke-width="0.4"${dashes}`;
	return shape.type === 'circle'
		? `<circle cx="${shape.at[0]}" cy="${shape.at[1]}" r="${shape.radius}" ${drawn}/>`
		: `<polygon points="${shape.points.join(' ')}" ${drawn}/>`;
}

/** The stack of one station as it was frozen, closed on the left and at full lift on the right. */
export function sectionSvg(drawing: Drawing, width: number, height: number, units: Units): string {
	const { shapes, installed, toBind, toSeal, edges } = sectionPicture(drawing, {
		width,
		height,
		above: 12,
		aside: 34
	});
	const line = (x1: number, y1: number, x2: number, y2: number, weight = 0.5) =>
		`<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}" stroke="${INK}" stroke-width="${weight}"/>`;
	/** A figure keeps a white edge where it lies on metal. */
	const figure = (place: string, length: number, anchor: string) =>
		['stroke="#fff" stroke-width="2"', '']
			.map(
				(edge) =>
					`<text ${place} text-anchor="${anchor}" font-family="Figures" font-size="7" fill="${INK}" ${edge}>${showLength(length as Millimetres, units)}</text>`
			)
			.join('');
	const at = (x: number, y: number) => `x="${x}" y="${y}"`;
	const words = (x: number, y: number, text: string, anchor: string) =>
		`<text x="${x}" y="${y}" text-anchor="${anchor}" font-family="Text" font-size="6" fill="${SOFT}">${text}</text>`;
	const between = ({ from, to }: DimensionLine, edge: number) => [
		line(from[0], from[1], to[0], to[1]),
		...[from, to].map(([x, y]) => line(x, y, edge, y, 0.3))
	];
	const middle = ({ from, to }: DimensionLine) => (from[1] + to[1]) / 2;
	return svg(width, height, [
		...shapes.map(shapeSvg),
		...between(installed, edges[0] - 2),
		figure(
			`transform="translate(${installed.from[0] - 4} ${middle(installed)}) rotate(-90)"`,
			installed.length,
			'middle'
		),
		...(toBind
			? [
					...between(toBind, edges[1] + 2),
					figure(at(width, toBind.to[1] + 9), toBind.length, 'end'),
					words(width, toBind.to[1] + 16, 'to bind', 'end')
				]
			: []),
		...(toSeal
			? [
					line(toSeal.from[0], toSeal.from[1], toSeal.to[0], toSeal.to[1], 1.4),
					figure(at(toSeal.from[0] + 3, middle(toSeal) + 2), toSeal.length, 'start')
				]
			: [])
	]);
}

/** A figure's scale, right-aligned in a column of this width. */
export const scaleSvg = ({ from, to, at }: Scale, state: State, width: number): string =>
	svg(width, 3, [
		`<rect x="0" y="1.2" width="${width}" height="0.5" fill="${METAL}"/>`,
		`<rect x="${(from / 100) * width}" y="0.7" width="${((to - from) / 100) * width}" height="1.5" fill="${METAL}"/>`,
		`<rect x="${(at / 100) * width - 0.7}" y="0" width="1.4" height="3" fill="${COLOURS[state] ?? INK}"/>`
	]);
