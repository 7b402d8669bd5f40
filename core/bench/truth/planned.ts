/** Heads planned by the program from one reading a valve, built as planned, and checked with a new reading. */
import { evaluate, planJob, type Job, type Reading } from '../../src/index.ts';
import type { LinearSolver } from '../../src/planning/solver/linear.ts';
import { madeUpGauge, readings } from './gauge.ts';
import { BIND, BIND_FLOOR, card, entries, head, LIFT, withReadings } from './head.ts';
import type { Random } from './random.ts';

const USUAL_HEIGHT = 0.0015 * 25.4;
/** The last 0.3 mm above the bind floor: the cushion asked for leads right to it. */
const CUSHION = BIND_FLOOR;

/** The springs' seat load at a height, exactly as their card has it. */
const seatLoad = (height: number) => 600 + 40 * (40 - height);

function toPlan(random: Random): Job {
	const job = head();
	const bare = random.between(0, 1.2);
	/** Of every second head the bind floor decides, of the others a least seat load. */
	const isByBind = random.next() < 0.5;
	const aim = isByBind
		? { method: 'bind-cushion', cushion: `${CUSHION} mm` }
		: {
				method: 'as-it-stands',
				minSeatLoad: `${seatLoad(LIFT + BIND + BIND_FLOOR + bare).toFixed(2)} N`
			};
	const kinds = {
		intake: { ...job.setup.kinds.intake, aim, spring: card },
		exhaust: { ...job.setup.kinds.exhaust, aim, spring: card }
	} as unknown as Job['setup']['kinds'];
	const shimStock = ['0.25 mm', '0.40 mm', '0.75 mm', '1.50 mm'].map((thickness) => ({
		thickness
	}));
	return { ...job, setup: { ...job.setup, kinds, shimStock } };
}

export interface PlannedAndBuilt {
	readonly built: number;
	/** Truly below a minimum, and those of them whose sheet is clear. */
	readonly short: number;
	readonly falseClear: number;
	readonly clear: number;
}

/** Plans and builds heads until so many stations are built. */
export async function plannedAndBuilt(
	random: Random,
	wanted: number,
	solver: LinearSolver
): Promise<PlannedAndBuilt> {
	let [built, short, falseClear, clear] = [0, 0, 0, 0];
	while (built < wanted) {
		const base = toPlan(random);
		const gauge = madeUpGauge(random, random.pick('defaults', 'ten-pairs'), USUAL_HEIGHT);
		const truth = new Map(
			base.stations.map(({ label }) => [
				label,
				LIFT + BIND + BIND_FLOOR + random.between(0.02, 2.2)
			])
		);
		const look = (quantity: Reading['quantity'], label: string, height: number) =>
			entries(label, quantity, readings(random, gauge, height, 1), gauge.carried);
		const measured = withReadings(
			base,
			base.stations.flatMap(({ label }) => look('installed-height', label, truth.get(label)!))
		);
		const answer = await planJob(
			{ job: measured, lockStock: [], placeSprings: false, fixed: [] },
			{ solver: () => Promise.resolve(solver) }
		);
		if (answer.type !== 'plan') continue;
		const shims = new Map(answer.stations.map((one) => [one.label, one.shims]));
		const stations = measured.stations.map((station) => ({
			...station,
			shims: [...(shims.get(station.label) ?? [])]
		}));
		const heightOf = (label: string) =>
			(shims.get(label) ?? []).reduce(
				(height, shim) => height - Number.parseFloat(shim),
				truth.get(label)!
			);
		const job: Job = {
			...measured,
			stations,
			readings: [
				...measured.readings,
				...stations.flatMap(({ label }) =>
					shims.has(label) ? look('built-height', label, heightOf(label)) : []
				)
			]
		};
		const { aim } = job.setup.kinds.intake;
		const min = aim.method === 'as-it-stands' ? Number.parseFloat(aim.minSeatLoad) : 0;
		for (const { label, figures } of evaluate(job).stations) {
			if (!shims.has(label)) continue;
			built++;
			const height = heightOf(label);
			const isShort = height - LIFT - BIND < BIND_FLOOR || seatLoad(height) < min;
			const judged = [figures.bindMargin, figures.built, ...(min > 0 ? [figures.seatLoad] : [])];
			const isClear = judged.every((one) => one?.state === 'clear');
			if (isClear) clear++;
			if (isShort) short++;
			if (isShort && isClear) falseClear++;
		}
	}
	return { built, short, falseClear, clear };
}
