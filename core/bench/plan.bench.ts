/**
 * How long the proven best plan takes, for springs fixed and free and stock
 * loose and tight, beside one plain mixed-integer model of the same cases, and
 * whether it is what that finds.
 * Writes its table to docs/plan.md.
 *
 *   npm run bench:plan
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import loadHighs from 'highs';
import { bruteForce } from '../src/planning/solver/test/brute-force.ts';
import { highsSolver } from '../src/planning/solver/highs.ts';
import { madeUpProblem } from '../src/planning/solver/test/made-up.ts';
import { plainModel } from '../src/planning/solver/test/plain.ts';
import { solvePlan } from '../src/planning/solver/solve.ts';

const RUNS = Number(process.env.RUNS ?? 20);
const highs = highsSolver(await loadHighs());
const solver = () => Promise.resolve(highs);
const at = (times: number[], part: number) =>
	times.toSorted((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * part))]!;

/** Plain models are slow: so many of the cases are given to them as well. */
const PLAIN_RUNS = Number(process.env.PLAIN_RUNS ?? 5);

const lines = [
	'| stations | springs | stock | median ms | 95 % ms | longest ms | proven | no plan | plain model, median ms | times as fast |',
	'| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |'
];
console.log(lines.join('\n'));
// The page warms its worker when it opens.
for (let seed = 0; seed < 20; seed++)
	for (const springs of [0, 15])
		await solvePlan(madeUpProblem({ stations: 12, springs, plenty: 0.4, seed }), { solver });
for (const stations of [12, 16, 32]) {
	for (const springs of [0, Math.ceil(stations * 1.25)]) {
		for (const [stock, plenty] of [
			['loose', 3],
			['tight', 0.55]
		] as const) {
			const times: number[] = [];
			const plain: number[] = [];
			let proven = 0;
			let none = 0;
			for (let seed = 0; seed < RUNS; seed++) {
				const problem = madeUpProblem({ stations, springs, plenty, seed: 1000 + seed });
				const start = performance.now();
				const answer = await solvePlan(problem, { solver });
				times.push(performance.now() - start);
				if (answer.type === 'plan' && answer.proven) proven++;
				else if (answer.type !== 'plan') none++;
				if (seed >= PLAIN_RUNS) continue;
				const plainStart = performance.now();
				plainModel(problem, highs, 60);
				plain.push(performance.now() - plainStart);
			}
			const ratio = at(plain, 0.5) / at(times.slice(0, PLAIN_RUNS), 0.5);
			const line = `| ${stations} | ${springs === 0 ? 'fixed' : `${springs} free`} | ${stock} | ${at(times, 0.5).toFixed(1)} | ${at(times, 0.95).toFixed(0)} | ${at(times, 1).toFixed(0)} | ${proven} of ${RUNS} | ${none} | ${at(plain, 0.5).toFixed(0)} | ${ratio.toFixed(ratio < 10 ? 1 : 0)} |`;
			console.log(line);
			lines.push(line);
		}
	}
}

let [agreed, asked] = [0, 0];
for (let seed = 0; seed < 500; seed++) {
	const problem = madeUpProblem({
		stations: 2 + (seed % 3),
		springs: seed % 2 ? 0 : 5,
		plenty: [0.15, 0.3, 0.6][seed % 3]!,
		shims: 2,
		seed
	});
	const answer = await solvePlan(problem, { solver });
	const truth = bruteForce(problem);
	const value = answer.type === 'plan' ? answer.value : null;
	asked++;
	if (JSON.stringify(value) === JSON.stringify(truth)) agreed++;
}
const brute = `Against every plan tried, ${asked} small cases: the same optimum in ${agreed}.`;
console.log(brute);
[agreed, asked] = [0, 0];
for (let seed = 0; seed < 24; seed++) {
	const problem = madeUpProblem({
		stations: seed % 2 ? 12 : 8,
		springs: seed % 2 ? 0 : 10,
		plenty: 0.35 + 0.1 * (seed % 4),
		seed: 300 + seed
	});
	const answer = await solvePlan(problem, { solver });
	const truth = plainModel(problem, highs);
	const value = answer.type === 'plan' ? answer.value : null;
	asked++;
	if (JSON.stringify(value) === JSON.stringify(truth)) agreed++;
}
const plain = `Against a plain mixed-integer model, ${asked} middle-sized cases: the same optimum in ${agreed}.`;
console.log(plain);

const path = 'docs/plan.md';
const text = readFileSync(path, 'utf8');
const [before, after] = ['<!-- figures -->', '<!-- end of figures -->'];
const [head, tail] = [text.split(before)[0]!, text.split(after)[1]!];
writeFileSync(
	path,
	`${head}${before}\n\n${lines.join('\n')}\n\n${brute} ${plain}\n\n${after}${tail}`
);
