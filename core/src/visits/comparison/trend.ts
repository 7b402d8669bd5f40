/** A spring's load at its nominal height over its service: settling apart, then a line with its band, and a bend where the loss accelerates. Source: docs/trade/visits.md. */
import { fit } from '../../foundation/least-squares/index.ts';
import { NORMAL, studentFactor } from '../../foundation/verdict/index.ts';

/** One look at a spring or a set. */
export interface TrendPoint {
	/** Hours, runs or kilometres run so far. */
	readonly service: number;
	/** Load at the nominal height, in N, with the half-width of its 95 % interval. */
	readonly load: number;
	readonly uncertainty: number;
}

export interface Trend {
	/** What was lost in the first run, in N; null before a second look. */
	readonly settled: number | null;
	/** N lost an hour, a run or a kilometre after that, above nothing for a loss; null before three looks after the first run. */
	readonly slope: { readonly value: number; readonly uncertainty: number } | null;
	/** The line at a service, with its band; null before it is known. */
	readonly at:
		((service: number) => { readonly load: number; readonly uncertainty: number }) | null;
	/** Whether the loads bend away from a straight line, losing faster and faster. */
	readonly isAccelerating: boolean;
	/**
	 * Service at which the line comes to the limit, and the soonest and latest by its band; null where
	 * it does not fall to it. Where the loss accelerates, the soonest follows the bend.
	 */
	readonly reaches: {
		readonly at: number;
		readonly from: number;
		readonly to: number | null;
	} | null;
}

/** A line wants so many looks after the first run. */
const FEWEST = 3;
/** Exponents of loss over service that are tried: a straight loss to one that grows with the fourth power. */
const EXPONENTS = Array.from({ length: 13 }, (_, i) => 1 + i / 4);
/** An exponent is possible where it leaves no more than this beyond the best: one-sided 95 % of chi-square with one degree of freedom. */
const POSSIBLE = 2.71;
/** A straight loss is ruled out where it leaves more than this beyond the best: 95 % of chi-square with one degree of freedom. */
const RULED_OUT = 3.84;
/** The band is followed so many times as far as the springs have run. */
const FAR = 20;

/**
 * The trend of a spring's load.
 *
 * @param points in any order; the one of least service is the new spring
 * @param limit load in N below which the spring is not to be used
 */
export function trendOf(points: readonly TrendPoint[], limit: number): Trend {
	const sorted = points.toSorted((a, b) => a.service - b.service);
	const [fresh, first] = sorted;
	const after = sorted.slice(1);
	const settled = fresh && first ? fresh.load - first.load : null;
	if (after.length < FEWEST)
		return { settled, slope: null, at: null, isAccelerating: false, reaches: null };
	const weights = after.map(({ uncertainty }) => (NORMAL / uncertainty) ** 2);
	const sum = (of: (point: TrendPoint) => number) =>
		after.reduce((all, point, i) => all + weights[i]! * of(point), 0);
	const weight = sum(() => 1);
	const [mean, level] = [sum(({ service }) => service) / weight, sum(({ load }) => load) / weight];
	const spread = sum(({ service }) => (service - mean) ** 2);
	if (spread === 0) return { settled, slope: null, at: null, isAccelerating: false, reaches: null };
	const fall = sum(({ service, load }) => (service - mean) * (load - level)) / spread;
	const free = after.length - 2;
	const left = sum(({ service, load }) => (load - level - fall * (service - mean)) ** 2) / free;
	// Looks that scatter more than they were read to widen the band; that they agree by chance narrows nothing.
	const excess = Math.max(1, left);
	const times = left > 1 ? Math.sqrt(excess) * studentFactor(free) : NORMAL;
	const at = (service: number) => ({
		load: level + fall * (service - mean),
		uncertainty: times * Math.sqrt(1 / weight + (service - mean) ** 2 / spread)
	});
	const bent = bentLoss(after, weights, limit);
	const line = reached(at, limit, after.at(-1)!.service);
	return {
		settled,
		isAccelerating: bent?.isAccelerating ?? false,
		slope: { value: -fall, uncertainty: times / Math.sqrt(spread) },
		at,
		reaches: withSoonest(line, bent)
	};
}

/**
 * Follows losses that grow faster than service: `load = a − c·(service − first)ᵖ`, with every exponent p
 * that the looks leave possible. Returns the soonest service at which one of them comes to the limit.
 */
function bentLoss(
	after: readonly TrendPoint[],
	weights: readonly number[],
	limit: number
): { readonly soonest: number | null; readonly isAccelerating: boolean } | null {
	const first = after[0]!.service;
	const loads = Float64Array.from(after, ({ load }) => load);
	const tried = EXPONENTS.flatMap((power) => {
		const basis = after.map(({ service }) => Float64Array.of(1, -((service - first) ** power)));
		const found = fit(basis, loads, Float64Array.from(weights));
		return found ? [{ power, found }] : [];
	});
	const best = Math.min(...tried.map(({ found }) => found.left));
	const straight = tried.find(({ power }) => power === 1);
	if (!straight) return null;
	const times = tried
		.filter(({ found }) => found.left <= best + POSSIBLE)
		.flatMap(({ power, found: { coefficients, deviations } }) => {
			const fall = coefficients[1]! + deviations[1]!;
			const room = coefficients[0]! - limit;
			return fall > 0 && room > 0 ? [first + (room / fall) ** (1 / power)] : [];
		});
	return {
		soonest: times.length > 0 ? Math.min(...times) : null,
		isAccelerating: straight.found.left > best + RULED_OUT
	};
}

/** What a line reaches, with the soonest no later than the bend of an accelerating loss. */
function withSoonest(line: Trend['reaches'], bent: ReturnType<typeof bentLoss>): Trend['reaches'] {
	const soonest = bent?.soonest ?? null;
	if (soonest === null) return line;
	if (line === null) return bent!.isAccelerating ? { at: soonest, from: soonest, to: null } : null;
	return { ...line, from: Math.min(line.from, soonest) };
}

/** Where a line and the edges of its band come down to a limit, found by halving. */
function reached(at: NonNullable<Trend['at']>, limit: number, last: number): Trend['reaches'] {
	const max = FAR * Math.max(last, 1);
	const edge = (side: -1 | 0 | 1): number | null => {
		const off = (service: number) => {
			const { load, uncertainty } = at(service);
			return load + side * uncertainty - limit;
		};
		if (off(0) <= 0) return 0;
		if (off(max) > 0) return null;
		let [low, high] = [0, max];
		for (let i = 0; i < 60; i++) {
			const half = (low + high) / 2;
			if (off(half) > 0) low = half;
			else high = half;
		}
		return high;
	};
	const middle = edge(0);
	return middle === null ? null : { at: middle, from: edge(-1) ?? middle, to: edge(1) };
}
