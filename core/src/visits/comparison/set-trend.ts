/** A set of springs over its service, by its weakest spring, and the mean over the sets of a batch. Source: docs/trade/visits.md. */
import { NORMAL, studentFactor } from '../../foundation/verdict/index.ts';
import { trendOf, type Trend, type TrendPoint } from './trend.ts';

/** What a set's service is told in, the first that was told. */
export const SERVICE_TOLD = ['hours', 'runs', 'kilometres'] as const;
export type ServiceTold = (typeof SERVICE_TOLD)[number];

/** The loads in N of a set at its nominal height at one visit, with what it had run. */
export type SetVisit = {
	/** Mean of the set, and its weakest spring; the weakest ends the life of the set. */
	readonly load: number;
	readonly weakest: number;
} & Readonly<Record<ServiceTold, number>>;

export interface SetTrend extends Trend {
	readonly unit: ServiceTold;
	readonly points: readonly TrendPoint[];
	/** Load below which its springs are not to be used, in N. */
	readonly limit: number;
}

/** A spring repeats on its tester to this part of its load, as a standard deviation. */
const REPEATS = 0.004;

/**
 * Returns the trend of a set by its weakest spring at each visit.
 *
 * @param sag part of its first load at which a spring is not used any more
 * @returns null before it was tested, or had run
 */
export function trendOfSet(visits: readonly SetVisit[], sag: number): SetTrend | null {
	const [first] = visits;
	const unit = SERVICE_TOLD.find((one) => visits.some((visit) => visit[one] > 0));
	if (!first || !unit) return null;
	const points = visits.map((visit) => ({
		service: visit[unit],
		load: visit.weakest,
		uncertainty: NORMAL * REPEATS * visit.weakest
	}));
	const limit = first.load * (1 - sag);
	return { ...trendOf(points, limit), unit, points, limit };
}

/**
 * Half-width of the 95 % interval of a mean over sets; null for one set, which says nothing of others.
 *
 * @param spread standard deviation between the sets
 * @example meanWithin(0.01, 4) // 0.0159
 */
export const meanWithin = (spread: number | null, sets: number): number | null =>
	spread === null || sets < 2 ? null : (studentFactor(sets - 1) * spread) / Math.sqrt(sets);
