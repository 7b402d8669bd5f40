/**
 * The plan as a problem of choosing: one choice for every station, each spring
 * once at most, no more of any part than the shelf holds; first the worst
 * distance from the aim is to be least, then the sum of distances, then the
 * number of parts. Distances are whole numbers of a small quantum.
 */

/** One way to build one station, with one spring. */
export interface Choice {
	readonly station: number;
	/** Which of the springs that may be placed; null where the station's spring stays as it is. */
	readonly spring: number | null;
	/** Distance from the aim, in whole quanta. */
	readonly distance: number;
	/** Parts that this build takes. */
	readonly parts: number;
	/** What it takes of each part in stock: index in {@link Problem.stock}, and how many. */
	readonly takes: readonly (readonly [part: number, count: number])[];
}

export interface Problem<C extends Choice = Choice> {
	readonly stations: number;
	readonly springs: number;
	/** How many of each part the shelf holds. */
	readonly stock: readonly number[];
	readonly choices: readonly C[];
}

/** Distance and parts as one whole number, the distance far ahead of the parts. */
export const PARTS_WEIGHT = 256;

/**
 * What a choice costs, as a whole number: its distance first, then its parts.
 *
 * @returns the distance from the aim in the plan's steps, and below that the number of new parts
 */
export const costOf = ({ distance, parts }: Choice): number => distance * PARTS_WEIGHT + parts;

export interface Value {
	readonly worst: number;
	readonly cost: number;
}

/** How good a set of choices is: the worst distance in it, and the sum of costs. */
export function valueOf(chosen: readonly Choice[]): Value {
	return {
		worst: chosen.reduce((worst, { distance }) => Math.max(worst, distance), 0),
		cost: chosen.reduce((sum, choice) => sum + costOf(choice), 0)
	};
}

/** The worst station decides; among equals, the sum of costs. */
export const isBetter = (a: Value, b: Value): boolean =>
	a.worst < b.worst || (a.worst === b.worst && a.cost < b.cost);

/** Parts of which the choices take more than the shelf holds: index, wanted, there. */
export function shortOf(
	stock: readonly number[],
	chosen: readonly Choice[]
): { part: number; wanted: number; there: number }[] {
	const wanted = stock.map(() => 0);
	for (const { takes } of chosen) for (const [part, count] of takes) wanted[part]! += count;
	return stock.flatMap((there, part) =>
		wanted[part]! > there ? [{ part, wanted: wanted[part]!, there }] : []
	);
}
