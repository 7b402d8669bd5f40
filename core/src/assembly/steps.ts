/**
 * The steps of an assembly, made from the job's own parts and build (docs/trade/assembly.md, step 7). Every step says what must be done before it, so that what must
 * not be skipped cannot be.
 */
import { stationsAtHand, type Job, type StationEntry } from '../job/document/index.ts';
import type { Sheet } from '../sheet/evaluation/index.ts';
import { walk } from '../foundation/station/index.ts';
import { message } from '../foundation/message/index.ts';
import { LOCK_HALVES } from './as-found.ts';
import { stationSteps } from './station-steps.ts';
import { cylinderPlace, inOrder, stepKey, type Draft, type Step } from './step.ts';

/** All lock halves of the valves at hand. */
export const lockHalves = (job: Job): number => LOCK_HALVES * stationsAtHand(job).length;

/**
 * Every step of a job's assembly, station by station as the machinist walks
 * them; in the car cylinder by cylinder, with the air line before and after.
 */
export function assemblySteps(job: Job, sheet: Sheet): Step[] {
	const order = walk(stationsAtHand(job), job.setup.measuringOrder);
	const out = inOrder(
		'job',
		[
			{
				step: 'count-out',
				text: message('step.count-out', { halves: lockHalves(job) }),
				counts: true
			}
		],
		[]
	);
	const inCar = job.setup.workLocation === 'vehicle';
	const started = [out[0]!.key];
	// One cylinder at a time: the next one waits until the air is off this one.
	const built = inCar
		? cylindersOf(order).flatMap((cylinder, i, all) => {
				const place = cylinderPlace(cylinder);
				const before = i === 0 ? started : [stepKey(cylinderPlace(all[i - 1]!), AIR_OFF.step)];
				const air = inOrder(place, AIR_ON, before);
				const own = order
					.filter((entry) => entry.cylinder === cylinder)
					.flatMap((entry) => stationSteps(job, sheet, entry, [air.at(-1)!.key]));
				const off = inOrder(place, [AIR_OFF], lastOfEach(own));
				return [...air, ...own, ...off];
			})
		: order.flatMap((entry) => stationSteps(job, sheet, entry, started));
	const back = inOrder(
		'job',
		[
			{
				step: 'count-in',
				text: message('step.count-in'),
				counts: true
			}
		],
		lastOfEach(built)
	);
	return [...out, ...built, ...back];
}

const cylindersOf = (order: readonly StationEntry[]) => [
	...new Set(order.map(({ cylinder }) => cylinder))
];

/** The key of the last step of every place. */
const lastOfEach = (steps: readonly Step[]) => [
	...new Map(steps.map(({ place, key }) => [place, key])).values()
];

const AIR_ON: readonly Draft[] = [
	{
		step: 'dead-centre',
		text: message('step.dead-centre'),
		caution: message('caution.dead-centre')
	},
	{ step: 'crankshaft', text: message('step.crankshaft'), caution: message('caution.crankshaft') },
	{ step: 'air', text: message('step.air'), caution: message('caution.air') },
	{ step: 'rags', text: message('step.rags'), caution: message('caution.rags') }
];
const AIR_OFF: Draft = { step: 'air-off', text: message('step.air-off') };

/** Places of the assembly at which every step is done. */
export function placesDone(
	steps: readonly Step[],
	done: ReadonlyMap<string, unknown>
): ReadonlySet<string> {
	const open = new Set(steps.filter(({ key }) => !done.has(key)).map(({ place }) => place));
	return new Set(steps.map(({ place }) => place).filter((place) => !open.has(place)));
}
