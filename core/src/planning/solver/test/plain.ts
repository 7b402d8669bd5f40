import { modelOf, type LinearSolver } from '../linear.ts';
import { costOf, type Problem, type Value } from '../problem.ts';
import { minOf } from '../unstocked.ts';

/**
 * The best plan by plain mixed-integer models over every choice, without any of
 * the stages: what the staged solver is held against.
 */
export function plainModel(problem: Problem, solve: LinearSolver, seconds = 600): Value | null {
	const distances = [...new Set(problem.choices.map(({ distance }) => distance))].sort(
		(a, b) => a - b
	);
	const within = (worst: number) => problem.choices.filter(({ distance }) => distance <= worst);
	const worst = minOf(
		distances,
		(max) =>
			solve(
				modelOf(problem, within(max), () => 0, true),
				seconds
			).type === 'optimal'
	);
	if (worst === null) return null;
	const { objective } = solve(modelOf(problem, within(worst), costOf, true), seconds);
	return { worst, cost: Math.round(objective) };
}
