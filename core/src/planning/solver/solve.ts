/**
 * The best plan, with proof. Stages, each exact: drop what is dominated; bound
 * the worst distance without stock; take the cheapest assignment at that bound,
 * which is the answer where stock happens to suffice; else the smallest worst
 * distance that the linear relaxation allows, and of its columns only those
 * whose reduced cost could still beat what has been found, settled in whole
 * numbers. Source: the staged method tried for this trade; see docs/plan.md.
 */
import { minTaken, scarceParts, withoutDominated } from './dominated.ts';
import { cheapestNear } from './enumerate.ts';
import { isPlainlyEnough, isShort } from './feasible.ts';
import { greedy } from './greedy.ts';
import { modelOf, type LinearAnswer, type LinearSolver } from './linear.ts';
import {
	costOf,
	isBetter,
	shortOf,
	valueOf,
	type Choice,
	type Problem,
	type Value
} from './problem.ts';
import { cheapestUnstocked, minFrom, minWorst } from './unstocked.ts';

export interface Solved<C extends Choice> {
	readonly chosen: readonly C[];
	readonly value: Value;
	/** No plan is better than this. */
	readonly bound: Value;
	readonly proven: boolean;
}

export type Answer<C extends Choice> =
	| ({ readonly type: 'plan' } & Solved<C>)
	/** Some stations have no way to be built at all. */
	| { readonly type: 'no-choice'; readonly stations: readonly number[] }
	/** Every station could be built, yet not all at once: what runs short. */
	| { readonly type: 'short'; readonly short: ReturnType<typeof shortOf> }
	/** Time ran out before any plan was found. */
	| { readonly type: 'stopped' };

export interface HowToSolve<C extends Choice> {
	/** Needed only where stock is scarce; its loading can wait until then. */
	readonly solver: () => Promise<LinearSolver>;
	readonly seconds?: number;
	/** Told the best plan so far, and how good a plan could still be. */
	readonly onProgress?: (best: Solved<C>) => void;
}

const SECONDS = 20;

/**
 * Chooses one build a station so that the stock suffices, the worst distance is
 * least, and then the sum of costs. Source: docs/trade/job.md#head-work.
 *
 * @param how the solver, the seconds that it may take, and who hears of better plans meanwhile
 * @returns the plan, with what could still be saved where it is not proven; stations without any
 * choice; or the parts that are short
 */
export async function solvePlan<C extends Choice>(
	problem: Problem<C>,
	{ solver, seconds = SECONDS, onProgress }: HowToSolve<C>
): Promise<Answer<C>> {
	const without = Array.from({ length: problem.stations }, (_, i) => i).filter(
		(station) => !problem.choices.some((choice) => choice.station === station)
	);
	if (without.length > 0) return { type: 'no-choice', stations: without };
	const choices = withoutDominated(problem);
	const min = minWorst(problem, choices);
	if (min === null) return { type: 'short', short: [] };
	const free = cheapestUnstocked(problem, choices, min)!;
	const bound = { worst: min, cost: valueOf(free).cost };
	if (shortOf(problem.stock, free).length === 0) {
		return { type: 'plan', chosen: free, value: valueOf(free), bound, proven: true };
	}
	const rough = greedy(problem, choices);
	if (rough) onProgress?.({ chosen: rough, value: valueOf(rough), bound, proven: false });
	return scarce(problem, choices, bound, rough, await solver(), seconds, onProgress);
}

function scarce<C extends Choice>(
	problem: Problem<C>,
	choices: readonly C[],
	bound: Value,
	rough: readonly C[] | null,
	solve: LinearSolver,
	seconds: number,
	onProgress?: (best: Solved<C>) => void
): Answer<C> {
	const end = Date.now() + seconds * 1000;
	const left = () => Math.max(0.05, (end - Date.now()) / 1000);
	let best = rough;
	const within = (worst: number) => choices.filter(({ distance }) => distance <= worst);
	const distances = [...new Set(choices.map(({ distance }) => distance))]
		.filter((distance) => distance >= bound.worst)
		.sort((a, b) => a - b);
	// Whether the relaxation has an answer at all asks only what is taken: fewer columns, no costs.
	const scarcest = [...scarceParts(problem)];
	const isFeasible = (worst: number) => {
		const columns = minTaken(problem, within(worst));
		if (isShort(problem, columns, scarcest)) return false;
		if (isPlainlyEnough(problem, columns)) return true;
		return (
			solve(
				modelOf(problem, columns, () => 0, false),
				left()
			).type !== 'infeasible'
		);
	};
	// Where nothing was found in a hurry, the stock may not suffice at all.
	const isHopeless = rough === null && isShort(problem, minTaken(problem, choices), scarcest);
	const first = isHopeless ? null : minFrom(distances, isFeasible);
	if (first === null) return { type: 'short', short: shortWithPlenty(problem, choices) };

	for (const worst of distances.slice(distances.indexOf(first))) {
		const columns = within(worst);
		const answer = solve(modelOf(problem, columns, costOf, false), left());
		if (answer.type === 'infeasible') continue;
		const now = { worst, cost: Math.ceil(answer.objective - 1e-4) };
		const settled = settle(problem, columns, answer, best, worst, solve, left);
		if (settled.found) best = settled.found;
		if (best && onProgress)
			onProgress({ chosen: best, value: valueOf(best), bound: now, proven: false });
		if (settled.type === 'optimal') {
			const value = valueOf(settled.found!);
			return { type: 'plan', chosen: settled.found!, value, bound: value, proven: true };
		}
		if (settled.type === 'stopped') {
			return best
				? { type: 'plan', chosen: best, value: valueOf(best), bound: now, proven: false }
				: { type: 'stopped' };
		}
	}
	return { type: 'short', short: shortWithPlenty(problem, choices) };
}

/** How much above the relaxation's cost the first columns asked for may lie, in parts of it. */
const FIRST_REACH = 0.002;
const REACH_GROWS = 6;
/** Ways to build some of the stations that are kept side by side before it is left to the solver. */
const MAX_WAYS = 4000;

interface Settled<C> {
	readonly type: 'optimal' | 'infeasible' | 'stopped';
	readonly found: readonly C[] | null;
}

/**
 * The cheapest whole-number answer among the columns of a relaxation. A column
 * whose reduced cost is above the distance from the relaxation to an answer in
 * hand cannot be part of a better one; so few columns are tried first, and more
 * until the answer lies within what was tried.
 */
function settle<C extends Choice>(
	problem: Problem<C>,
	columns: readonly C[],
	{ objective, reduced }: LinearAnswer,
	known: readonly C[] | null,
	worst: number,
	solve: LinearSolver,
	left: () => number
): Settled<C> {
	const usable = known && valueOf(known).worst <= worst ? known : null;
	let best = usable;
	let reach = Math.max(8, objective * FIRST_REACH);
	let settled = -1;
	const furthest = furthestOf(problem, columns, reduced);
	for (;;) {
		if (best) reach = Math.min(reach, valueOf(best).cost - objective);
		const near =
			problem.springs === 0
				? cheapestNear(problem, columns, reduced, reach, MAX_WAYS)
				: { found: null, isAll: false };
		if (near.isAll) {
			const { found } = near;
			if (found && (!best || isBetter(valueOf(found), valueOf(best)))) best = found;
			const isProven = best && valueOf(best).cost - objective <= reach + 1e-4;
			if (isProven || reach > furthest)
				return best
					? { type: 'optimal', found: inOrder(best) }
					: { type: 'infeasible', found: null };
			reach *= REACH_GROWS;
			continue;
		}
		const few = columns.filter((_, i) => reduced[i]! <= reach + 1e-4);
		// The same columns have the same answer: further reach took none in.
		if (few.length > settled) {
			settled = few.length;
			const answer = solve(modelOf(problem, few, costOf, true), left());
			if (answer.type === 'optimal') {
				const chosen = few.filter((_, i) => answer.columns[i]! > 0.5);
				if (!best || isBetter(valueOf(chosen), valueOf(best))) best = chosen;
			}
			if (answer.type === 'stopped') return { type: 'stopped', found: best };
		}
		const isAll = few.length === columns.length;
		if (best && (isAll || valueOf(best).cost - objective <= reach + 1e-4))
			return { type: 'optimal', found: inOrder(best) };
		if (isAll) return { type: 'infeasible', found: null };
		reach *= REACH_GROWS;
	}
}

/** What the dearest column of every station would add up to: beyond it there is no plan left. */
function furthestOf(
	problem: Problem,
	columns: readonly Choice[],
	reduced: ArrayLike<number>
): number {
	const worst = new Float64Array(problem.stations);
	columns.forEach(({ station }, i) => {
		worst[station] = Math.max(worst[station]!, reduced[i]!);
	});
	return worst.reduce((sum, one) => sum + one, 0);
}

const inOrder = <C extends Choice>(chosen: readonly C[]) =>
	chosen.toSorted((a, b) => a.station - b.station);

/** What would be short if the best plan with plenty of everything were built. */
function shortWithPlenty<C extends Choice>(problem: Problem<C>, choices: readonly C[]) {
	const worst = Math.max(...choices.map(({ distance }) => distance));
	const chosen = cheapestUnstocked(problem, choices, worst);
	return chosen ? shortOf(problem.stock, chosen) : [];
}
