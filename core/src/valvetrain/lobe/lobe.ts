/** A cam lobe: how far it lifts at an angle, and how that changes (docs/trade/valvetrain.md#control). */
import type { Millimetres } from '../../foundation/units/index.ts';
import { root } from './root.ts';

/** Where a lobe's figures come from: read off a table, or made up from lift and duration. */
export type LobeOrigin = 'table' | 'made-up';

/**
 * Lift over cam angle. Angles are in radians of the cam from the peak; derivatives are by
 * that angle: mm, mm/rad, mm/rad², mm/rad³.
 */
export interface Lobe {
	readonly origin: LobeOrigin;
	readonly peak: Millimetres;
	/** Where lift begins and ends, ramps included. */
	readonly opens: number;
	readonly closes: number;
	readonly at: (angle: number) => LobeMotion;
	/** Half-width of the 95 % interval of its acceleration there, in mm/rad². */
	readonly uncertainty: (angle: number) => number;
	/** Other lobes that the same card may stand for; left out where a table gives the lobe itself. */
	readonly mayBe?: () => readonly Lobe[];
}

export interface LobeMotion {
	readonly lift: number;
	readonly velocity: number;
	readonly acceleration: number;
	readonly jerk: number;
}

/** On the base circle nothing moves. */
export const AT_REST: LobeMotion = { lift: 0, velocity: 0, acceleration: 0, jerk: 0 };

const RADIANS = Math.PI / 180;
/** Degrees of the cam as radians of it. */
export const camDegrees = (degrees: number): number => degrees * RADIANS;
/** Degrees of the crankshaft, which turns twice as fast, as radians of the cam. */
export const crankDegrees = (degrees: number): number => (degrees * RADIANS) / 2;

/**
 * How long a lobe holds at least this lift, in degrees of the crankshaft.
 *
 * @param lift at the lobe, in mm
 * @returns 0 for a lift that it never reaches
 */
export function durationAt(
	lobe: Pick<Lobe, 'peak' | 'opens' | 'closes' | 'at'>,
	lift: number
): number {
	if (lift >= lobe.peak) return 0;
	const off = (angle: number) => lobe.at(angle).lift - lift;
	// A table that ends above the lift holds it to its end, as far as anybody knows.
	const edge = (end: number) => (off(end) >= 0 ? end : root(off, 0, end));
	return ((edge(lobe.closes) - edge(lobe.opens)) * 2) / RADIANS;
}
