import { assignment } from './assignment.ts';
import { costOf, type Choice, type Problem } from './problem.ts';

/**
 * The cheapest choice for every station with no distance above `worst`, as if
 * the shelf held plenty of everything; null where there is none.
 *
 * A station that keeps its spring has a place of its own beside the springs
 * that may be placed.
 */
export function cheapestUnstocked<C extends Choice>(
	{ stations, springs }: Problem,
	choices: readonly C[],
	worst: number
): C[] | null {
	const columns = springs + stations;
	const cost = Array.from({ length: stations }, () =>
		new Float64Array(columns).fill(Number.POSITIVE_INFINITY)
	);
	const best = new Map<number, C>();
	for (const choice of choices) {
		if (choice.distance > worst) continue;
		const column = choice.spring ?? springs + choice.station;
		const own = costOf(choice);
		if (own < cost[choice.station]![column]!) {
			cost[choice.station]![column] = own;
			best.set(choice.station * columns + column, choice);
		}
	}
	const columnOf = assignment(cost);
	return columnOf && columnOf.map((column, station) => best.get(station * columns + column)!);
}

/**
 * The least worst distance that springs and stations allow, whatever the stock:
 * the smallest at which every station can still be given a choice. A bound
 * below which no plan can go; null where some station has none at all.
 */
export function minWorst({ stations, springs }: Problem, choices: readonly Choice[]) {
	const nearest = Array.from({ length: stations }, () =>
		new Float64Array(springs + stations).fill(Number.POSITIVE_INFINITY)
	);
	for (const { station, spring, distance } of choices) {
		const column = spring ?? springs + station;
		nearest[station]![column] = Math.min(nearest[station]![column]!, distance);
	}
	const distances = [...new Set(nearest.flatMap((row) => [...row]))]
		.filter(Number.isFinite)
		.sort((a, b) => a - b);
	return minOf(distances, (worst) => canMatch(nearest, worst));
}

/**
 * Whether every row can have a column of its own among those at or below a
 * bound, by augmenting paths. Source: Kuhn 1955.
 */
function canMatch(rows: readonly Float64Array[], bound: number): boolean {
	const rowOf = new Int32Array(rows[0]?.length ?? 0).fill(-1);
	const give = (row: number, seen: Uint8Array): boolean => {
		for (let column = 0; column < rowOf.length; column++) {
			if (seen[column] || rows[row]![column]! > bound) continue;
			seen[column] = 1;
			if (rowOf[column]! < 0 || give(rowOf[column]!, seen)) {
				rowOf[column] = row;
				return true;
			}
		}
		return false;
	};
	return rows.every((_, row) => give(row, new Uint8Array(rowOf.length)));
}

/** The least of rising values for which something is so, if it stays so above; null if for none. */
export function minOf(values: readonly number[], isSo: (value: number) => boolean): number | null {
	let [low, high] = [0, values.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (isSo(values[middle]!)) high = middle;
		else low = middle + 1;
	}
	return values[low] ?? null;
}

/** As {@link leastOf}, looking near the beginning first: each step twice as long as the last. */
export function minFrom(
	values: readonly number[],
	isSo: (value: number) => boolean
): number | null {
	let [low, step] = [0, 1];
	while (low + step - 1 < values.length && !isSo(values[low + step - 1]!)) {
		low += step;
		step *= 2;
	}
	// What ended the steps is so, or is past the end: only what lies before it is asked.
	return minOf(values.slice(low, low + step - 1), isSo) ?? values[low + step - 1] ?? null;
}
