/** Head plan and section of a signed sheet, as SVG for paper. */
import type { Drawing, Half, Job, Layout, State } from '@zinc-ledger/core';
import type { FrozenStation } from './frozen';

const INK = '#171d1f';
const METAL = '#aeb8b9';
const DARK = '#6d7a7e';
const SHIM = '#c8980b';

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The mark of a state, about a point; each has a shape of its own. */
function mark(state: State, x: number, y: number): string {
	switch (state) {
		case 'stop':
			return `<rect x="${x - 3}" y="${y - 3}" width="6" height="6" fill="#a9211c"/>`;
		case 'watch':
			return `<polygon points="${x},${y - 3.4} ${x + 3.6},${y + 3} ${x - 3.6},${y + 3}" fill="#855400"/>`;
		case 'inconclusive':
			return `<path d="M${x - 3} ${y - 1.5}h6M${x - 3} ${y + 1.5}h6" stroke="#4a4f9c" stroke-width="1.4"/>`;
		default:
			return '';
	}
}

/** The heads in plan as they lie on the bench, each valve with the state it was signed in. */
export function headPlanSvg(job: Job, stations: readonly FrozenStation[], width: number): string {
	const layout: Layout = job.engine.layout;
	const perHead = layout.cylinders / job.heads.length;
	const rows = layout.valvesPerCylinder > 2 ? 2 : 1;
	const gap = 8;
	const own = (width - gap * (job.heads.length - 1)) / job.heads.length;
	const height = rows === 2 ? 66 : 46;
	const of = new Map(stations.map((station) => [station.label, station]));
	const shapes = job.heads.map((head, i) => {
		const left = i * (own + gap);
		const bores = Array.from(
			{ length: perHead },
			(_, k) =>
				`<circle cx="${left + ((k + 0.5) / perHead) * own}" cy="${height / 2}" r="${Math.min(height / 2 - 3, own / perHead / 2 - 2)}" fill="none" stroke="${METAL}" stroke-dasharray="2 2"/>`
		);
		const valves = job.stations
			.filter((station) => station.head === head.id)
			.map(({ label, along, across, kind }) => {
				const bore = Math.floor(along) + 0.5;
				const x = left + (bore / perHead) * own + (along - bore) * Math.min(56, own / perHead);
				const y = rows === 2 ? height * (0.27 + across * 0.46) : height / 2;
				const radius = kind === 'intake' ? 10.5 : 9;
				return `<circle cx="${x}" cy="${y}" r="${radius}" fill="#fff" stroke="${INK}"/><text x="${x}" y="${y + 2.6}" text-anchor="middle" font-family="Figures" font-size="7.5" fill="${INK}">${escaped(label)}</text>${mark(of.get(label)?.state ?? 'clear', x + radius, y - radius + 2)}`;
			});
		return `<rect x="${left}" y="0.5" width="${own}" height="${height - 1}" rx="6" fill="#f2f4f3" stroke="${METAL}"/>${bores.join('')}${valves.join('')}`;
	});
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${shapes.join('')}</svg>`;
}

/** The stack of one station as it was frozen, closed on the left and at full lift on the right. */
export function sectionSvg(drawing: Drawing, width: number, height: number): string {
	const scale = Math.min(
		(width - 8) / 2 / (drawing.outside + 3),
		(height - 12) / (drawing.top + 6)
	);
	const [x, y] = [
		(at: number) => width / 2 + at * scale,
		(at: number) => height - 6 - (at + 4) * scale
	];
	const box = (a: number, b: number, from: number, to: number, fill: string) =>
		`<rect x="${Math.min(x(a), x(b))}" y="${y(to)}" width="${Math.abs(b - a) * scale}" height="${Math.max(0, (to - from) * scale)}" fill="${fill}" stroke="${INK}" stroke-width="0.4"/>`;
	const outline = (
		points: readonly (readonly [number, number])[],
		side: number,
		landing: number,
		fill: string
	) =>
		`<polygon points="${points.map(([at, up]) => `${x(at * side)},${y(landing + up)}`).join(' ')}" fill="${fill}" stroke="${INK}" stroke-width="0.4"/>`;
	const halfOf = (half: Half, side: number) =>
		[
			...half.coils.flatMap((coil) =>
				coil.heights.map(
					(at) =>
						`<circle cx="${x(coil.at * side)}" cy="${y(at)}" r="${coil.radius * scale}" fill="${coil.inner ? '#fff' : '#cdd4d4'}" stroke="${DARK}" stroke-width="0.5"/>`
				)
			),
			outline(drawing.retainer, side, half.landing, METAL),
			outline(drawing.lock, side, half.landing, DARK),
			box(0, drawing.stem * side, -4, half.tip, '#fff')
		].join('');
	const shimTop = drawing.floor.shims.at(-1)?.to ?? 0;
	const under = [-1, 1].map((side) =>
		[
			...drawing.floor.shims.map(({ from, to }) =>
				box((drawing.stem + 4) * side, drawing.outside * side, from, to, SHIM)
			),
			box(
				(drawing.stem + 4) * side,
				(drawing.outside + 0.8) * side,
				shimTop,
				drawing.floor.seat,
				METAL
			),
			drawing.sealTop === null
				? ''
				: box(drawing.stem * side, (drawing.stem + 2.6) * side, 0, drawing.sealTop, '#e1e5e4')
		].join('')
	);
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><rect x="0" y="${y(0)}" width="${width}" height="${4 * scale + 6}" fill="#e1e5e4"/>${under.join('')}${halfOf(drawing.closed, -1)}${halfOf(drawing.open, 1)}</svg>`;
}
