/**
 * A sweep: what a spring tester read while a spring was pressed, point by
 * point. Heights in millimetres, loads in newtons, points in the order they
 * were taken (docs/trade/springs.md).
 */
import { mm, newtons, type Millimetres, type Newtons } from '../../foundation/units/index.ts';
import type { Point } from '../spring/index.ts';

export const TRAVELS = ['down', 'up'] as const;
export type Travel = (typeof TRAVELS)[number];

export interface SweepPoint extends Point {
	/** Which way the press was going; a spring reads higher going down than coming back. */
	readonly travel: Travel;
}

/** How far a tester's readings scatter, one standard deviation. */
export interface TesterNoise {
	readonly height: Millimetres;
	/** Part of the load. */
	readonly load: number;
}

/** What an ordinary bench tester scatters. */
export const USUAL_NOISE: TesterNoise = { height: mm(0.013), load: 0.005 };

/** Points closer than this are one height read several times. */
const SAME_HEIGHT = 0.003;
/** More points than this say nothing more about a curve, and only take time. */
const MAX_POINTS = 200;

/**
 * Points given without a travel, told from the order of their heights: down until
 * the press turns, up after it. It turns where the least is left that goes the
 * other way, so that one height misread does not turn it.
 *
 * @param points heights in mm in the order in which they were taken
 */
export function withTravel(points: readonly Point[]): SweepPoint[] {
	const moves = points.slice(1).map(({ height }, i) => height - points[i]!.height);
	let against = moves.reduce((sum, move) => sum + Math.max(0, -move), 0);
	let [turn, min] = [0, against];
	moves.forEach((move, i) => {
		against += move;
		if (against < min) [turn, min] = [i + 1, against];
	});
	return points.map(({ height, load }, i) => ({
		height,
		load,
		travel: i <= turn ? 'down' : 'up'
	}));
}

/**
 * The points of one travel, tallest first, heights read several times made one
 * by their mean, and a dense sweep thinned to two hundred means.
 *
 * @returns heights in mm, loads in N
 */
export function travelled(points: readonly SweepPoint[], travel: Travel): Point[] {
	const sorted = thinned(points, travel).toSorted((a, b) => b.height - a.height);
	const means: Point[] = [];
	let from = 0;
	for (let i = 1; i <= sorted.length; i++) {
		if (i < sorted.length && sorted[from]!.height - sorted[i]!.height < SAME_HEIGHT) continue;
		means.push(meanOf(sorted.slice(from, i)));
		from = i;
	}
	return means;
}

/** The points of one travel, those of a dense sweep as the means of even stretches of its height. */
function thinned(points: readonly SweepPoint[], travel: Travel): Point[] {
	let [lowest, highest, count] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, 0];
	for (const point of points) {
		if (point.travel !== travel) continue;
		lowest = Math.min(lowest, point.height);
		highest = Math.max(highest, point.height);
		count++;
	}
	if (count <= MAX_POINTS) return points.filter((point) => point.travel === travel);
	const width = (highest - lowest) / MAX_POINTS || 1;
	const stretches = Array.from({ length: MAX_POINTS + 1 }, () => ({
		height: 0,
		load: 0,
		points: 0
	}));
	for (const point of points) {
		if (point.travel !== travel) continue;
		const stretch = stretches[Math.floor((point.height - lowest) / width)]!;
		stretch.height += point.height;
		stretch.load += point.load;
		stretch.points++;
	}
	return stretches
		.filter((stretch) => stretch.points > 0)
		.map(({ height, load, points: read }) => ({
			height: mm(height / read),
			load: newtons(load / read)
		}));
}

function meanOf(points: readonly Point[]): Point {
	const sum = (of: (point: Point) => number) =>
		points.reduce((total, point) => total + of(point), 0);
	return {
		height: mm(sum(({ height }) => height) / points.length),
		load: newtons(sum(({ load }) => load) / points.length)
	};
}

export interface Hysteresis {
	/** Greatest difference between down and up at one height. */
	readonly load: Newtons;
	readonly at: Millimetres;
}

/** How much higher a spring reads going down than coming back; null when it was pressed one way only. */
export function hysteresis(points: readonly SweepPoint[]): Hysteresis | null {
	const up = travelled(points, 'up');
	const down = up.length < 2 ? [] : travelled(points, 'down');
	if (down.length < 2) return null;
	let max: Hysteresis | null = null;
	for (const point of up) {
		const below = down.findIndex(({ height }) => height <= point.height);
		if (below <= 0) continue;
		const [a, b] = [down[below - 1]!, down[below]!];
		const part = (a.height - point.height) / (a.height - b.height);
		const difference = newtons(a.load + part * (b.load - a.load) - point.load);
		if (!max || difference > max.load) max = { load: difference, at: point.height };
	}
	return max;
}
