/**
 * A lift table read off a degree wheel: every 5° of the cam over both flanks, twice, in the running
 * direction only. Source: docs/trade/valvetrain.md#control, shop practice.
 */
import type { Millimetres } from '../../foundation/units/index.ts';

/** Degrees of the crankshaft from one reading to the next: 5° of the cam. */
export const WHEEL_STEP = 10;

/** What was read so far; lifts in mm at each stop of the wheel, once for each pass. */
export interface WheelRound {
	/** Degrees of the crankshaft at the first stop. */
	readonly start: number;
	/** What the indicator stood on. */
	readonly at: 'lobe' | 'valve';
	readonly passes: readonly [readonly Millimetres[], readonly Millimetres[]];
}

/** Where the wheel stands at a stop, counted from 0, in degrees of the crankshaft. */
export const wheelAngle = ({ start }: WheelRound, stop: number): number =>
	start + stop * WHEEL_STEP;

/** Pairs of readings at the stops that both passes have. */
const pairsOf = ({ passes: [first, second] }: WheelRound) =>
	first.slice(0, second.length).map((lift, stop) => [lift, second[stop]!] as const);

/** Returns the table that both passes come to, each lift their average, with its heading. */
export const wheelRows = (round: WheelRound): string[][] => [
	['crank degrees', `${round.at} lift mm`],
	...pairsOf(round).map(([one, other], stop) => [
		String(wheelAngle(round, stop)),
		((one + other) / 2).toFixed(4)
	])
];

/** Fewer pairs than this tell no scatter. */
const FEWEST_PAIRS = 3;

/**
 * Returns the standard deviation of one reading, from the differences between the two passes.
 *
 * @returns mm; null before there are three pairs
 * @example differences of 0.02, 0 and 0.02 mm: √(0.0008 ÷ 3 ÷ 2) = 0.0115 mm
 */
export function wheelScatter(round: WheelRound): number | null {
	const pairs = pairsOf(round);
	if (pairs.length < FEWEST_PAIRS) return null;
	const squares = pairs.reduce((sum, [one, other]) => sum + (one - other) ** 2, 0);
	return Math.sqrt(squares / pairs.length / 2);
}
