/**
 * A sweep: what a spring tester read while a spring was pressed, point by
 * point. Heights in millimetres, loads in newtons, points in the order they
 * were taken (handbook §5).
 */
import { mm, newtons, type Millimetres, type Newtons } from '../units/quantity.ts';
import type { Point } from '../spring/curve.ts';

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
const MOST_POINTS = 120;

/**
 * Points given without a travel, told from the order of their heights: down
 * until the lowest, up after it.
 */
export function withTravel(points: readonly Point[]): SweepPoint[] {
	const lowest = points.reduce(
		(at, point, i) => (point.height < (points[at]?.height ?? Number.POSITIVE_INFINITY) ? i : at),
		0
	);
	return points.map((point, i) => ({ ...point, travel: i <= lowest ? 'down' : 'up' }));
}

/**
 * The points of one travel, tallest first, heights read several times made one
 * by their mean, and a dense sweep thinned to a few hundred means.
 */
export function travelled(points: readonly SweepPoint[], travel: Travel): Point[] {
	const sorted = points
		.filter((point) => point.travel === travel)
		.toSorted((a, b) => b.height - a.height);
	if (sorted.length === 0) return [];
	const span = sorted[0]!.height - sorted.at(-1)!.height;
	const width = Math.max(SAME_HEIGHT, sorted.length > MOST_POINTS ? span / MOST_POINTS : 0);
	const means: Point[] = [];
	let from = 0;
	for (let i = 1; i <= sorted.length; i++) {
		if (i < sorted.length && sorted[from]!.height - sorted[i]!.height < width) continue;
		const group = sorted.slice(from, i);
		const mean = (of: (point: Point) => number) =>
			group.reduce((sum, point) => sum + of(point), 0) / group.length;
		means.push({
			height: mm(mean(({ height }) => height)),
			load: newtons(mean(({ load }) => load))
		});
		from = i;
	}
	return means;
}

export interface Hysteresis {
	/** Greatest difference between down and up at one height. */
	readonly load: Newtons;
	readonly at: Millimetres;
}

/** How much higher a spring reads going down than coming back; null when it was pressed one way only. */
export function hysteresis(points: readonly SweepPoint[]): Hysteresis | null {
	const [down, up] = [travelled(points, 'down'), travelled(points, 'up')];
	if (down.length < 2 || up.length < 2) return null;
	let greatest: Hysteresis | null = null;
	for (const point of up) {
		const below = down.findIndex(({ height }) => height <= point.height);
		if (below <= 0) continue;
		const [a, b] = [down[below - 1]!, down[below]!];
		const part = (a.height - point.height) / (a.height - b.height);
		const difference = newtons(a.load + part * (b.load - a.load) - point.load);
		if (!greatest || difference > greatest.load) greatest = { load: difference, at: point.height };
	}
	return greatest;
}
