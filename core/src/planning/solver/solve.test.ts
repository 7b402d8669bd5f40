import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { assignment } from './assignment.ts';
import { bruteForce } from './test/brute-force.ts';
import { minTaken, scarceParts, withoutDominated } from './dominated.ts';
import { isPlainlyEnough, isShort } from './feasible.ts';
import { greedy } from './greedy.ts';
import { highsSolver } from './highs.ts';
import type { LinearSolver } from './linear.ts';
import { madeUpProblem } from './test/made-up.ts';
import { plainModel } from './test/plain.ts';
import { shortOf, valueOf, type Choice, type Problem } from './problem.ts';
import { solvePlan } from './solve.ts';
import { cheapestUnstocked, minFrom, minOf, minWorst } from './unstocked.ts';

let solver: LinearSolver;
beforeAll(async () => {
	solver = highsSolver(await loadHighs());
});
const solved = (problem: Problem) => solvePlan(problem, { solver: () => Promise.resolve(solver) });

const choice = (
	station: number,
	distance: number,
	parts: number,
	takes: Choice['takes'] = [],
	spring: number | null = null
): Choice => ({ station, spring, distance, parts, takes });

const small = fc.record({
	stations: fc.integer({ min: 1, max: 4 }),
	springs: fc.constantFrom(0, 0, 4, 5),
	plenty: fc.constantFrom(0.15, 0.3, 0.5, 1),
	shims: fc.constantFrom(1, 2),
	seed: fc.nat()
});

describe('assignment', () => {
	it('is the cheapest, and knows when there is none', () => {
		const cost = [
			[4, 1, 3],
			[2, 0, 5]
		].map((row) => Float64Array.from(row));
		expect(assignment(cost)).toEqual([1, 0]);
		const barred = [Float64Array.of(1, Infinity), Float64Array.of(1, Infinity)];
		expect(assignment(barred)).toBeNull();
	});
	it('is what trying every order finds', () => {
		const matrix = fc.array(
			fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 4, maxLength: 4 }),
			{
				minLength: 3,
				maxLength: 3
			}
		);
		fc.assert(
			fc.property(matrix, (rows) => {
				const cost = rows.map((row) => Float64Array.from(row));
				const found = assignment(cost)!;
				const sum = found.reduce((total, column, row) => total + cost[row]![column]!, 0);
				let min = Infinity;
				for (let a = 0; a < 4; a++)
					for (let b = 0; b < 4; b++)
						for (let c = 0; c < 4; c++)
							if (a !== b && b !== c && a !== c)
								min = Math.min(min, cost[0]![a]! + cost[1]![b]! + cost[2]![c]!);
				expect(new Set(found).size).toBe(3);
				expect(sum).toBe(min);
			}),
			{ numRuns: 200 }
		);
	});
});

describe('the stages', () => {
	it('only parts that could run out are counted', () => {
		const choices = [choice(0, 0, 1, [[0, 2]]), choice(1, 0, 1, [[1, 1]])];
		const scarce = scarceParts({ stations: 2, springs: 0, stock: [1, 1], choices });
		expect([...scarce]).toEqual([0]);
	});
	it('what another choice beats is dropped, unless it spares something scarce', () => {
		const near = choice(0, 1, 1, [[0, 1]]);
		const far = choice(0, 5, 2);
		const worse = choice(0, 6, 2, [[0, 1]]);
		const of = (stock: number) =>
			withoutDominated({ stations: 1, springs: 0, stock: [stock], choices: [near, far, worse] });
		expect(of(0)).toEqual([near, far]);
		expect(of(5)).toEqual([near]);
	});
	it('the bound is the least worst distance that springs allow', () => {
		const choices = [
			choice(0, 1, 0, [], 0),
			choice(1, 1, 0, [], 0),
			choice(0, 7, 0, [], 1),
			choice(1, 9, 0, [], 1)
		];
		const problem = { stations: 2, springs: 2, stock: [], choices };
		expect(minWorst(problem, choices)).toBe(7);
		expect(cheapestUnstocked(problem, choices, 7)).toEqual([choices[2], choices[1]]);
		expect(cheapestUnstocked(problem, choices, 6)).toBeNull();
	});
	it('the least of rising values is found', () => {
		expect(minOf([1, 4, 9], (value) => value > 2)).toBe(4);
		expect(minOf([1, 4], () => false)).toBeNull();
	});
	it('the least is found from the beginning too, each value asked once at most', () => {
		for (let length = 0; length < 12; length++) {
			const values = Array.from({ length }, (_, i) => i);
			for (let min = 0; min <= length; min++) {
				const asked: number[] = [];
				const isSo = (value: number) => (asked.push(value), value >= min);
				expect(minFrom(values, isSo)).toBe(min < length ? min : null);
				expect(new Set(asked).size).toBe(asked.length);
			}
		}
	});
	it('what may be taken is told by the least of it, whatever the distance', () => {
		const near = choice(0, 0, 2, [[0, 2]]);
		const far = choice(0, 9, 1, [[0, 1]]);
		const problem = { stations: 1, springs: 0, stock: [1], choices: [near, far] };
		expect(withoutDominated(problem)).toEqual([near, far]);
		expect(minTaken(problem, [near, far])).toEqual([far]);
	});
	it('a greedy plan keeps to the stock, or is none', () => {
		const choices = [choice(0, 1, 1, [[0, 1]]), choice(1, 1, 1, [[0, 1]]), choice(1, 9, 0)];
		const problem = { stations: 2, springs: 0, stock: [1], choices };
		expect(greedy(problem, choices)).toEqual([choices[0], choices[2]]);
		expect(greedy({ ...problem, stock: [0] }, choices)).toBeNull();
	});
});

describe('the best plan', () => {
	it('is what trying every plan finds', async () => {
		let plans = 0;
		await fc.assert(
			fc.asyncProperty(small, async (made) => {
				const problem = madeUpProblem(made);
				const answer = await solved(problem);
				const truth = bruteForce(problem);
				if (truth === null) {
					expect(answer.type).not.toBe('plan');
					return;
				}
				plans++;
				if (answer.type !== 'plan') throw new Error(`no plan found: ${answer.type}`);
				expect(answer.value).toEqual(truth);
				expect(valueOf(answer.chosen)).toEqual(truth);
				expect(answer.proven).toBe(true);
				expect(shortOf(problem.stock, answer.chosen)).toEqual([]);
				expect(answer.chosen.map(({ station }) => station)).toEqual([
					...Array(problem.stations).keys()
				]);
				const springs = answer.chosen.flatMap(({ spring }) => spring ?? []);
				expect(new Set(springs).size).toBe(springs.length);
			}),
			{ numRuns: 300 }
		);
		expect(plans).toBeGreaterThan(100);
	}, 60_000);

	it.each([1, 2, 3, 4, 5, 6])(
		'is what a plain mixed-integer model finds (%i)',
		async (seed) => {
			// Larger ones are solved both ways by npm run bench:plan.
			const problem = madeUpProblem({
				stations: seed % 2 ? 8 : 6,
				springs: seed % 2 ? 0 : 7,
				plenty: 0.3,
				seed: 40 + seed
			});
			const answer = await solved(problem);
			const truth = plainModel(problem, solver);
			expect(answer.type === 'plan' ? answer.value : null).toEqual(truth);
		},
		60_000
	);

	it('names the stations that cannot be built at all', async () => {
		const problem = { stations: 2, springs: 0, stock: [], choices: [choice(0, 1, 0)] };
		expect(await solved(problem)).toEqual({ type: 'no-choice', stations: [1] });
	});
	it('names what runs short when not all can be built at once', async () => {
		const choices = [choice(0, 1, 1, [[0, 1]]), choice(1, 2, 1, [[0, 1]])];
		expect(await solved({ stations: 2, springs: 0, stock: [1], choices })).toEqual({
			type: 'short',
			short: [{ part: 0, wanted: 2, there: 1 }]
		});
	});
	it('calls the stock short only where every plan tried is, and enough only where one is found', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 4000 }),
				fc.integer({ min: 1, max: 6 }),
				(seed, tenths) => {
					const problem = madeUpProblem({
						stations: 3,
						springs: 0,
						plenty: tenths / 10,
						shims: 2,
						seed
					});
					const scarce = [...scarceParts(problem)];
					const columns = minTaken(problem, problem.choices);
					const isPossible = bruteForce(problem) !== null;
					if (isShort(problem, columns, scarce)) expect(isPossible).toBe(false);
					if (isPlainlyEnough(problem, columns)) expect(isPossible).toBe(true);
				}
			),
			{ numRuns: 200 }
		);
	});
	it('tells what it has when it is stopped', async () => {
		const stopped: LinearSolver = ({ costs, whole }) => ({
			type: whole ? 'stopped' : 'optimal',
			objective: 256,
			columns: new Float64Array(costs.length),
			reduced: new Float64Array(whole ? 0 : costs.length)
		});
		const choices = [
			choice(0, 1, 1, [[0, 1]]),
			choice(1, 1, 1, [[0, 1]]),
			choice(0, 9, 0),
			choice(1, 5, 0)
		];
		const proofs: boolean[] = [];
		const answer = await solvePlan(
			// With a spring to place it is the solver that resolves whole numbers.
			{ stations: 2, springs: 1, stock: [1], choices },
			{ solver: () => Promise.resolve(stopped), onProgress: ({ proven }) => proofs.push(proven) }
		);
		if (answer.type !== 'plan') throw new Error(answer.type);
		expect([answer.proven, answer.value.worst, proofs]).toEqual([false, 5, [false, false]]);
		expect(answer.bound.worst).toBeLessThanOrEqual(answer.value.worst);
	});
});
