/**
 * The steps of an assembly, made from the job's own parts and build (handbook
 * §9, step 7). Every step says what must be done before it, so that what must
 * not be skipped cannot be.
 */
import { partsOf, type Job, type KindSetup, type StationEntry } from '../document/index.ts';
import type { Sheet } from '../evaluation/index.ts';
import type { StationSheet } from '../figures/index.ts';
import { walk } from '../station/index.ts';
import { message, type Message } from '../message/index.ts';
import { waysUp, type WayUp } from '../spring/index.ts';
import type { Joules, Millimetres } from '../units/index.ts';

/** Steps of an assembly, by the codes that are kept of them. */
export const STEP_CODES = [
	'count-out',
	'dead-centre',
	'crankshaft',
	'air',
	'rags',
	'locator',
	'seal',
	'seal-height',
	'stem',
	'sleeve',
	'valve',
	'spring',
	'retainer',
	'compress',
	'locks',
	'release',
	'tap',
	'look',
	'air-off',
	'count-in'
] as const;
export type StepCode = (typeof STEP_CODES)[number];

declare module '../message/message.ts' {
	interface Messages {
		'step.count-in': null;
		'step.dead-centre': null;
		'step.crankshaft': null;
		'step.air': null;
		'step.rags': null;
		'step.air-off': null;
		'step.compress': null;
		'step.release': null;
		'step.tap': null;
		'step.look': null;
		'step.sleeve': null;
		'step.valve': null;
		'step.seal-height': null;
		'caution.dead-centre': null;
		'caution.crankshaft': null;
		'caution.air': null;
		'caution.rags': null;
		'caution.compress': null;
		'caution.tap': null;
		'step.count-out': { readonly halves: number };
		'step.retainer': { readonly part: string | null };
		'step.locks': { readonly part: string | null };
		'step.locator': { readonly shims: readonly Millimetres[]; readonly part: string | null };
		'step.stem': { readonly station: string; readonly part: string | null };
		'step.seal': { readonly bottomsOn: 'locator' | 'guide' | null };
		'step.spring': { readonly tag: string | null; readonly ways: readonly WayUp[] };
	}
}

export interface Step {
	/** Place and step: names it among all steps of the job. */
	readonly key: string;
	/** A station ("3I"), a cylinder ("cylinder 3") or "job". */
	readonly place: string;
	readonly step: StepCode;
	readonly text: Message;
	readonly caution?: Message;
	/** What the spring holds at full lift; where a slip sets it free. */
	readonly energy?: Joules | null;
	/** Small parts are counted here. */
	readonly counts?: boolean;
	/** Keys of the steps that must be done before it. */
	readonly needs: readonly string[];
}

/** The place of steps that are done for a whole cylinder. */
export const cylinderPlace = (cylinder: number): string => `cylinder ${cylinder}`;

/** A step at a place, as one key: what is done is found by it. */
export const stepKey = (place: string, step: string): string => `${place} ${step}`;

type Draft = Pick<Step, 'step' | 'text' | 'caution' | 'energy' | 'counts'>;

/** Steps of one place in a fixed order, each wanting the one before; the first wants `needs`. */
function inOrder(place: string, drafts: readonly Draft[], needs: readonly string[]): Step[] {
	return drafts.map((draft, i) => ({
		...draft,
		key: stepKey(place, draft.step),
		place,
		needs: i === 0 ? needs : [stepKey(place, drafts[i - 1]!.step)]
	}));
}

/** Each station has two lock halves. */
export const lockHalves = (job: Job): number => 2 * job.stations.length;

/**
 * Every step of a job's assembly, station by station as the machinist walks
 * them; in the car cylinder by cylinder, with the air line before and after.
 */
export function assemblySteps(job: Job, sheet: Sheet): Step[] {
	const order = walk(job.stations, job.setup.measuringOrder);
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

/** The steps of one station. */
export function stationSteps(
	job: Job,
	sheet: Sheet,
	entry: StationEntry,
	needs: readonly string[]
): Step[] {
	const parts = partsOf(job.setup, entry);
	const station = sheet.stations.find(({ label }) => label === entry.label)!;
	const seal = sealSteps(parts);
	const valve = valveSteps(entry, parts);
	const sealFirst = parts.seal?.installOrder === 'seal-first';
	return inOrder(
		entry.label,
		[
			locatorStep(station, parts),
			...(sealFirst ? [...seal, ...valve] : [...valve, ...seal]),
			springStep(entry, parts),
			{
				step: 'retainer',
				text: message('step.retainer', { part: parts.retainer?.name ?? null })
			},
			{
				step: 'compress',
				text: message('step.compress'),
				caution: message('caution.compress'),
				energy: station.energy
			},
			{ step: 'locks', text: message('step.locks', { part: parts.locks?.name ?? null }) },
			{ step: 'release', text: message('step.release') },
			{ step: 'tap', text: message('step.tap'), caution: message('caution.tap') },
			{ step: 'look', text: message('step.look') }
		],
		needs
	);
}

const locatorStep = ({ stack }: StationSheet, parts: KindSetup): Draft => ({
	step: 'locator',
	text: message('step.locator', { shims: stack.shims, part: parts.locator?.name ?? null })
});

const valveSteps = ({ label }: StationEntry, { valve }: KindSetup): Draft[] => [
	{ step: 'stem', text: message('step.stem', { station: label, part: valve?.name ?? null }) },
	{ step: 'sleeve', text: message('step.sleeve') },
	{ step: 'valve', text: message('step.valve') }
];

const sealSteps = ({ seal }: KindSetup): Draft[] => [
	{ step: 'seal', text: message('step.seal', { bottomsOn: seal?.bottomsOn ?? null }) },
	{ step: 'seal-height', text: message('step.seal-height') }
];

const springStep = ({ spring: tag }: StationEntry, { spring }: KindSetup): Draft => ({
	step: 'spring',
	text: message('step.spring', { tag: tag ?? null, ways: waysUp(spring) })
});

/** Places of the assembly at which every step is done. */
export function placesDone(
	steps: readonly Step[],
	done: ReadonlyMap<string, unknown>
): ReadonlySet<string> {
	const open = new Set(steps.filter(({ key }) => !done.has(key)).map(({ place }) => place));
	return new Set(steps.map(({ place }) => place).filter((place) => !open.has(place)));
}
