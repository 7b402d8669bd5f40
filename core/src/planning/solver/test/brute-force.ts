import { costOf, isBetter, type Choice, type Problem, type Value } from '../problem.ts';

/** The best plan by trying every one; only for problems small enough for that. */
export function bruteForce(problem: Problem): Value | null {
	const of = Array.from({ length: problem.stations }, (_, station) =>
		problem.choices.filter((choice) => choice.station === station)
	);
	const left = [...problem.stock];
	const used = new Set<number>();
	let best: Value | null = null;
	const fits = ({ spring, takes }: Choice) =>
		(spring === null || !used.has(spring)) && takes.every(([part, count]) => left[part]! >= count);
	const take = (choice: Choice, way: 1 | -1) => {
		for (const [part, count] of choice.takes) left[part]! -= way * count;
		if (choice.spring === null) return;
		if (way === 1) used.add(choice.spring);
		else used.delete(choice.spring);
	};
	const extend = (station: number, so: Value) => {
		if (best && !isBetter(so, best)) return;
		if (station === problem.stations) {
			best = so;
			return;
		}
		for (const choice of of[station]!) {
			if (!fits(choice)) continue;
			take(choice, 1);
			extend(station + 1, {
				worst: Math.max(so.worst, choice.distance),
				cost: so.cost + costOf(choice)
			});
			take(choice, -1);
		}
	};
	extend(0, { worst: 0, cost: 0 });
	return best;
}
