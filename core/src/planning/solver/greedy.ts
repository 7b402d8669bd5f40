import { costOf, type Choice, type Problem } from './problem.ts';

/**
 * A plan found by giving each station in turn the cheapest choice that springs
 * and stock still allow, those with the fewest choices first. No proof in it:
 * it is there to have something in hand, and may find nothing.
 */
export function greedy<C extends Choice>(problem: Problem, choices: readonly C[]): C[] | null {
	const of = Array.from({ length: problem.stations }, (_, station) =>
		choices.filter((choice) => choice.station === station).toSorted((a, b) => costOf(a) - costOf(b))
	);
	const order = of.map((_, station) => station).toSorted((a, b) => of[a]!.length - of[b]!.length);
	const left = [...problem.stock];
	const used = new Set<number>();
	const chosen: C[] = [];
	for (const station of order) {
		const choice = of[station]!.find(
			({ spring, takes }) =>
				(spring === null || !used.has(spring)) &&
				takes.every(([part, count]) => left[part]! >= count)
		);
		if (!choice) return null;
		if (choice.spring !== null) used.add(choice.spring);
		for (const [part, count] of choice.takes) left[part]! -= count;
		chosen.push(choice);
	}
	return chosen.toSorted((a, b) => a.station - b.station);
}
