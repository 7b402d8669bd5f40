import { type Choice, type Problem } from './problem.ts';

/** Parts of which the stations together could never take more than there are need not be counted. */
export function scarceParts(problem: Problem): ReadonlySet<number> {
	const before = known.get(problem);
	if (before) return before;
	const scarce = scarceOf(problem);
	known.set(problem, scarce);
	return scarce;
}

/** Asked for again with every model of one problem. */
const known = new WeakMap<Problem, ReadonlySet<number>>();

/** The parts of which the stations together could take more than there are: only these can be short. */
function scarceOf({ stations, stock, choices }: Problem): ReadonlySet<number> {
	const max = stock.map(() => new Float64Array(stations));
	for (const { station, takes } of choices) {
		for (const [part, count] of takes) {
			max[part]![station] = Math.max(max[part]![station]!, count);
		}
	}
	return new Set(
		stock.flatMap((there, part) =>
			max[part]!.reduce((sum, count) => sum + count, 0) > there ? [part] : []
		)
	);
}

/**
 * The choices without those that another of the same station and spring equals
 * or beats in distance, in parts and in everything scarce that it takes.
 */
export function withoutDominated<C extends Choice>(problem: Problem<C>): C[] {
	return undominated(
		problem,
		problem.choices,
		(a, b) => a.distance - b.distance || a.parts - b.parts,
		(a, b) => a.parts <= b.parts
	);
}

/** One choice for each way of taking from the stock that is not beaten by another that takes less. */
export const minTaken = <C extends Choice>(problem: Problem<C>, choices: readonly C[]): C[] =>
	undominated(
		problem,
		choices,
		() => 0,
		() => true
	);

/**
 * Of each station and spring, the choices that no other equals or beats in all
 * that counts: everything scarce, and what `beats` compares.
 *
 * @param order puts a choice before those that it may beat otherwise
 */
function undominated<C extends Choice>(
	problem: Problem<C>,
	choices: readonly C[],
	order: (a: C, b: C) => number,
	beats: (a: C, b: C) => boolean
): C[] {
	const scarce = [...scarceParts(problem)];
	const amounts = ({ takes }: C) =>
		scarce.map((part) => takes.find(([of]) => of === part)?.[1] ?? 0);
	const sum = (counts: number[]) => counts.reduce((all, count) => all + count, 0);
	const groups = new Map<number, C[]>();
	for (const choice of choices) {
		const key = choice.station * (problem.springs + 1) + (choice.spring ?? problem.springs);
		const group = groups.get(key);
		if (group) group.push(choice);
		else groups.set(key, [choice]);
	}
	return [...groups.values()].flatMap((group) => {
		group.sort((a, b) => order(a, b) || sum(amounts(a)) - sum(amounts(b)));
		const kept: { choice: C; takes: number[] }[] = [];
		for (const choice of group) {
			const takes = amounts(choice);
			const isBeaten = kept.some(
				(other) =>
					beats(other.choice, choice) && other.takes.every((count, i) => count <= takes[i]!)
			);
			if (!isBeaten) kept.push({ choice, takes });
		}
		return kept.map(({ choice }) => choice);
	});
}
