/**
 * How well the bind, loads and rate of a sweep are told, on made-up sweeps whose
 * truth is known: noise 0.5 % of load and 0.013 mm of height; and the bind on a
 * rough tester, by a generator that shares nothing with the first.
 *
 *   npm run bench:bind
 */
import { findBind, type Solid } from '../src/springs/sweep/bind.ts';
import {
	BUILD_OF,
	MODEL_TYPES,
	normal,
	randomFrom,
	randomSpring,
	sampled,
	type ModelType
} from '../src/springs/sweep/synthetic.ts';
import { loadFloor } from './floor.ts';
import { roughTable } from './rough.ts';
import { performance } from 'node:perf_hooks';
import { sweepFigures } from '../src/springs/sweep/figures.ts';
import { USUAL_NOISE, withTravel } from '../src/springs/sweep/sweep.ts';
import { mm } from '../src/foundation/units/quantity.ts';

const RUNS = Number(process.env.RUNS ?? 600);
const SOLID: Record<ModelType, Solid> = {
	linear: 'knee',
	progressive: 'knee',
	dual: 'first-coil',
	cone: 'gradually'
};
const at = (values: number[], part: number) =>
	values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * part))] ??
	NaN;

console.log(
	'type         step   found   |error| 50 %   95 %    goal     within goal  short > 0.05  interval covers  not reached, none called'
);
for (const type of MODEL_TYPES) {
	for (const step of [0.25, 0.5, 1.27]) {
		const random = randomFrom(17 + step * 1000);
		const errors: number[] = [];
		let covered = 0;
		let short = 0;
		let quiet = 0;
		for (let run = 0; run < RUNS; run++) {
			const spring = randomSpring(type, random);
			const past = 3 + Math.floor(random() * 3);
			const found = findBind(
				sampled(spring, { step, noise: USUAL_NOISE, past }, random),
				SOLID[type]
			);
			if (found.type === 'bind') {
				errors.push(found.height - spring.solid);
				if (spring.solid <= found.to + 1e-9) covered++;
				if (found.height < spring.solid - 0.05) short++;
			}
			const before = findBind(
				sampled(spring, { step, noise: USUAL_NOISE, past: -1 - 4 * random() }, random),
				SOLID[type]
			);
			if (before.type === 'none') quiet++;
		}
		const size = errors.map(Math.abs);
		const goal = Math.max(type === 'dual' ? 0.65 * step : step / 2, 0.05);
		const within = size.filter((error) => error <= goal).length / RUNS;
		const percent = (part: number) => `${(100 * part).toFixed(1)} %`.padStart(8);
		console.log(
			`${type.padEnd(12)} ${step.toFixed(2)} ${percent(errors.length / RUNS)} ${at(size, 0.5).toFixed(3).padStart(10)} ${at(size, 0.95).toFixed(3).padStart(10)} ${goal.toFixed(3).padStart(7)} ${percent(within)} ${percent(short / RUNS).padStart(14)} ${percent(covered / Math.max(1, errors.length)).padStart(14)} ${percent(quiet / RUNS).padStart(16)}`
		);
	}
}

roughTable(RUNS);

/** The twentieth part at the end needs more sweeps to stand still than a middle does. */
const LOAD_RUNS = 4 * RUNS;

console.log(
	'\nloads and rate: errors in 95 % of sweeps, goal for loads 0.5 %; in brackets what no unbiased reading can better'
);
console.log('type         step            seat            open     rate');
for (const type of MODEL_TYPES) {
	for (const step of [0.25, 0.5, 1.27]) {
		const random = randomFrom(91 + step * 1000);
		const luck = randomFrom(92 + step * 1000);
		const errors = { seat: [] as number[], open: [] as number[], rate: [] as number[] };
		const floors = { seat: [] as number[], open: [] as number[] };
		for (let run = 0; run < LOAD_RUNS; run++) {
			const spring = randomSpring(type, random);
			const points = sampled(spring, { step, noise: USUAL_NOISE, past: 4 }, random);
			const travel = spring.free - spring.solid;
			const window = { seat: mm(spring.free - 0.35 * travel), lift: mm(0.5 * travel) };
			const figures = sweepFigures(withTravel(points), window, BUILD_OF[type]);
			const heights = points.map(({ height }) => height);
			const loads = { seat: window.seat, open: window.seat - window.lift };
			for (const of of ['seat', 'open'] as const) {
				errors[of].push(Math.abs((figures[of] ?? NaN) / spring.load(loads[of]) - 1));
				const floor = loadFloor(spring, heights, USUAL_NOISE, loads[of]);
				floors[of].push(Math.abs(normal(luck)) * floor);
			}
			const rate = (spring.load(loads.open) - spring.load(loads.seat)) / window.lift;
			errors.rate.push(Math.abs((figures.rate ?? NaN) / rate - 1));
		}
		const percent = (values: number[]) => `${(100 * at(values, 0.95)).toFixed(2)} %`;
		const shown = (['seat', 'open'] as const).map((of) =>
			`${percent(errors[of])} (${percent(floors[of])})`.padStart(15)
		);
		console.log(
			`${type.padEnd(12)} ${step.toFixed(2)} ${shown.join(' ')} ${percent(errors.rate).padStart(8)}`
		);
	}
}

const random = randomFrom(5);
const dense = withTravel(
	sampled(randomSpring('dual', random), { step: 0.0012, noise: USUAL_NOISE, past: 1500 }, random)
);
const times = Array.from({ length: 9 }, () => {
	const start = performance.now();
	sweepFigures(dense, { seat: mm(40), lift: mm(10) }, 'dual');
	return performance.now() - start;
});
console.log(
	`\n${dense.length} points worked out in ${at(times, 0.5).toFixed(0)} ms (median of ${times.length}; goal 50)`
);
