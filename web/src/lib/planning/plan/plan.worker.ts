/** Plans in a worker, so that the page stays awake; the solver is loaded when the page opens. */
import { expose } from 'comlink';
import loadHighs from 'highs';
import wasm from 'highs/runtime?url';
import type { PlanAnswer, PlanQuestion } from '@zinc-ledger/core';
import { highsSolver, planJob } from '@zinc-ledger/core/planner';

const solver = loadHighs({ locateFile: () => wasm }).then((highs) => {
	const solve = highsSolver(highs);
	// The first model is solved cold, which takes long: a small one goes first.
	solve(
		{
			costs: Float64Array.of(1, 2),
			lower: Float64Array.of(1),
			upper: Float64Array.of(1),
			starts: Int32Array.of(0, 1, 2),
			rows: Int32Array.of(0, 0),
			values: Float64Array.of(1, 1),
			whole: true
		},
		5
	);
	return solve;
});

const planner = {
	plan: (
		question: PlanQuestion,
		seconds: number,
		onProgress: (answer: PlanAnswer) => void
	): Promise<PlanAnswer> => planJob(question, { solver: () => solver, seconds, onProgress })
};
export type Planner = typeof planner;

expose(planner);
