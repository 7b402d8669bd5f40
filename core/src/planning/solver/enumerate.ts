/**
 * The cheapest whole-number plan near a linear relaxation where no spring changes
 * places: station by station, of all ways that leave the same parts on the shelf
 * the cheapest is kept, and of these only those whose reduced costs still allow a
 * plan within reach. A plan costs at least the relaxation and the reduced costs of
 * its choices, so that nothing that could be better is left out.
 */
import { costOf, type Choice, type Problem } from './problem.ts';

export interface Near<C> {
	/** The cheapest plan whose reduced costs lie within reach; null for none. */
	readonly found: readonly C[] | null;
	/** False where there were too many ways to look at them all. */
	readonly isAll: boolean;
}

/** One way to build the stations so far. */
interface Way<C> {
	readonly cost: number;
	readonly reduced: number;
	readonly left: Int32Array;
	readonly choice: C | null;
	readonly before: Way<C> | null;
}

/**
 * Looks at every plan whose choices' reduced costs add up to no more than `reach`.
 *
 * @param problem without springs to place
 * @param columns choices, and their reduced costs beside them
 * @param max ways kept at one station before giving up
 */
export function cheapestNear<C extends Choice>(
	problem: Problem,
	columns: readonly C[],
	reduced: ArrayLike<number>,
	reach: number,
	max: number
): Near<C> {
	const byStation: { choice: C; reduced: number }[][] = Array.from(
		{ length: problem.stations },
		() => []
	);
	columns.forEach((choice, i) => {
		const own = Math.max(0, reduced[i]!);
		if (own <= reach) byStation[choice.station]!.push({ choice, reduced: own });
	});
	if (byStation.some((own) => own.length === 0)) return { found: null, isAll: true };
	const order = byStation.toSorted((a, b) => a.length - b.length);
	const { min, add } = stillToCome(problem, order);

	let ways: Way<C>[] = [
		{ cost: 0, reduced: 0, left: Int32Array.from(problem.stock), choice: null, before: null }
	];
	for (let at = 0; at < order.length; at++) {
		const next = new Map<number, Way<C>>();
		for (const way of ways) {
			for (const { choice, reduced: own } of order[at]!) {
				const sum = way.reduced + own;
				if (sum + add[at + 1]! > reach + 1e-4) continue;
				const left = Int32Array.from(way.left);
				for (const [part, count] of choice.takes) left[part]! -= count;
				if (!isEnough(left, min[at + 1]!)) continue;
				const key = keyOf(left, problem.stock);
				const cost = way.cost + costOf(choice);
				const same = next.get(key);
				if (!same || cost < same.cost)
					next.set(key, { cost, reduced: sum, left, choice, before: way });
			}
		}
		if (next.size > max) return { found: null, isAll: false };
		ways = [...next.values()];
	}
	const best = ways.reduce<Way<C> | null>((a, b) => (a && a.cost <= b.cost ? a : b), null);
	return { found: best && chosenOf(best), isAll: true };
}

/** What the stations from each on take at least of every part, and add at least of reduced cost. */
function stillToCome<C extends Choice>(
	{ stock }: Problem,
	order: readonly { choice: C; reduced: number }[][]
) {
	const min = Array.from({ length: order.length + 1 }, () => new Int32Array(stock.length));
	const add = new Float64Array(order.length + 1);
	for (let i = order.length - 1; i >= 0; i--) {
		add[i] = add[i + 1]! + Math.min(...order[i]!.map(({ reduced }) => reduced));
		for (let part = 0; part < stock.length; part++) {
			const takes = order[i]!.map(({ choice }) => takenOf(choice, part));
			min[i]![part] = min[i + 1]![part]! + Math.min(...takes);
		}
	}
	return { min, add };
}

/** How many of a part, by its place in the stock, a choice takes. */
export const takenOf = ({ takes }: Choice, part: number): number => {
	for (const [of, count] of takes) if (of === part) return count;
	return 0;
};

function isEnough(left: Int32Array, min: Int32Array): boolean {
	for (let part = 0; part < left.length; part++) if (left[part]! < min[part]!) return false;
	return true;
}

/** What is left on the shelf as one number, a digit a part. */
function keyOf(left: Int32Array, stock: readonly number[]): number {
	let key = 0;
	for (let part = 0; part < left.length; part++) key = key * (stock[part]! + 1) + left[part]!;
	return key;
}

function chosenOf<C>(way: Way<C>): C[] {
	const chosen: C[] = [];
	for (let at: Way<C> | null = way; at?.choice; at = at.before) chosen.push(at.choice);
	return chosen;
}
