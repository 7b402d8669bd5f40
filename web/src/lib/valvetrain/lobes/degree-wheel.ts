/** A lift table read off a degree wheel: the round of two passes, and what they come to (docs/trade/valvetrain.md#control). */

/** Degrees of the crankshaft from one reading to the next: 5° of the cam. */
export const WHEEL_STEP = 10;

/** Lifts as typed at each stop of the wheel, once for each pass. */
export interface WheelRound {
	/** Degrees of the crankshaft at the first stop. */
	readonly start: number;
	readonly passes: readonly [readonly number[], readonly number[]];
}

export const EMPTY_ROUND: WheelRound = { start: 0, passes: [[], []] };

export const wheelAngle = ({ start }: WheelRound, stop: number): number =>
	start + stop * WHEEL_STEP;

/** The rows that both passes cover, each lift their average: a table with its heading. */
export function wheelRows(round: WheelRound, unit: 'in' | 'mm', at: 'lobe' | 'valve'): string[][] {
	const [first, second] = round.passes;
	const both = Math.min(first.length, second.length);
	return [
		['crank degrees', `${at} lift ${unit}`],
		...first
			.slice(0, both)
			.map((lift, stop) => [
				String(wheelAngle(round, stop)),
				((lift + second[stop]!) / 2).toFixed(5)
			])
	];
}

/** Standard deviation of one reading, from the difference between the two passes; null before there are three pairs. */
export function wheelScatter({ passes: [first, second] }: WheelRound): number | null {
	const both = Math.min(first.length, second.length);
	if (both < 3) return null;
	const squares = first.slice(0, both).map((lift, stop) => (lift - second[stop]!) ** 2);
	return Math.sqrt(squares.reduce((sum, one) => sum + one, 0) / both / 2);
}

/** A round out of what the browser kept; an empty one where that is none. */
export function storedRound(text: string | null): WheelRound {
	try {
		const { start, passes } = JSON.parse(text ?? '') as WheelRound;
		const isSound =
			Number.isFinite(start) &&
			passes.length === 2 &&
			passes.every((pass) => pass.every((lift) => Number.isFinite(lift)));
		return isSound ? { start, passes } : EMPTY_ROUND;
	} catch {
		return EMPTY_ROUND;
	}
}
