/** Quick answers to whether the stock suffices at all; what they leave open is for a linear program. */
import { greedy } from './greedy.ts';
import type { Choice, Problem } from './problem.ts';
import { takenOf } from './enumerate.ts';

/** More parts than this make too many groups of parts to look at each. */
const MAX_PARTS = 10;

/**
 * Whether some group of parts runs short however the stations are built: the
 * least that all of them together take of the group is more than there is of it.
 */
export function isShort(
	{ stations, stock }: Problem,
	choices: readonly Choice[],
	scarce: readonly number[]
): boolean {
	const parts = scarce.slice(0, MAX_PARTS);
	const groups = 1 << parts.length;
	const min = Array.from({ length: stations }, () =>
		new Float64Array(groups).fill(Number.POSITIVE_INFINITY)
	);
	for (const choice of choices) {
		const takes = parts.map((part) => takenOf(choice, part));
		const own = min[choice.station]!;
		const calculators = new Float64Array(groups);
		for (let group = 1; group < groups; group++) {
			const lowest = 31 - Math.clz32(group & -group);
			calculators[group] = calculators[group & (group - 1)]! + takes[lowest]!;
			if (calculators[group]! < own[group]!) own[group] = calculators[group]!;
		}
	}
	for (let group = 1; group < groups; group++) {
		let [wanted, there] = [0, 0];
		for (const own of min) wanted += own[group]!;
		parts.forEach((part, i) => {
			if (group & (1 << i)) there += stock[part]!;
		});
		if (wanted > there) return true;
	}
	return false;
}

/** Whether a plan is found in a hurry, which is proof that there is one. */
export const isPlainlyEnough = (problem: Problem, choices: readonly Choice[]): boolean =>
	greedy(problem, choices) !== null;
