/**
 * The steps of an assembly, made from the job's own parts and build (handbook
 * §9, step 7). Every step says what must be done before it, so that what must
 * not be skipped cannot be.
 */
import { partsOf } from '../document/resolve-parts.ts';
import type { Job, KindSetup, StationEntry } from '../document/schema.ts';
import type { Sheet } from '../evaluation/sheet.ts';
import type { StationSheet } from '../figures/sheet.ts';
import { walk } from '../station/order.ts';
import { joined, ofLength, say, type Phrase } from '../units/phrase.ts';
import type { Joules } from '../units/quantity.ts';

export interface Step {
	/** Place and step: names it among all steps of the job. */
	readonly key: string;
	/** A station ("3I"), a cylinder ("cylinder 3") or "job". */
	readonly place: string;
	readonly step: string;
	readonly text: Phrase;
	readonly caution?: Phrase;
	/** What the spring holds at full lift; where a slip sets it free. */
	readonly energy?: Joules | null;
	/** Small parts are counted here. */
	readonly counts?: boolean;
	/** Keys of the steps that must be done before it. */
	readonly needs: readonly string[];
}

/** The place of steps that are done for a whole cylinder. */
export const cylinderPlace = (cylinder: number): string => `cylinder ${cylinder}`;

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
	const order = walk(job.stations, job.setup.walkingOrder);
	const out = inOrder(
		'job',
		[
			{
				step: 'count out',
				text: say`Count the lock halves out: ${lockHalves(job)} are wanted`,
				counts: true
			}
		],
		[]
	);
	const inCar = job.setup.place === 'car';
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
				step: 'count in',
				text: ['Count the lock halves again: those fitted and those left over'],
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
		step: 'dead centre',
		text: ['At true top dead centre, found at the piston'],
		caution: ['Closed valves do not mean that the piston is up.']
	},
	{
		step: 'crankshaft',
		text: ['Hold the crankshaft'],
		caution: ['Air turns an engine that is not held: hands and tools clear of it.']
	},
	{
		step: 'air',
		text: [
			'Adapter in, without its valve core; air on. Prove that it holds before a lock is touched'
		],
		caution: [
			'If the air drops, the valve drops. With the compressor tool off, air alone holds it.'
		]
	},
	{
		step: 'rags',
		text: ['Rags over the drain holes, a magnet for the locks'],
		caution: ['A lock that falls into the engine is not left there.']
	}
];
const AIR_OFF: Draft = {
	step: 'air off',
	text: ['All valves of this cylinder built: air off, rags and tools counted']
};

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
	const sealFirst = parts.seal?.turn === 'seal first';
	return inOrder(
		entry.label,
		[
			locatorStep(station, parts),
			...(sealFirst ? [...seal, ...valve] : [...valve, ...seal]),
			springStep(entry, parts),
			{
				step: 'retainer',
				text: [parts.retainer ? `Retainer on: ${parts.retainer.name}` : 'Retainer on']
			},
			{
				step: 'compress',
				text: ['Compress, only as far as the locks need'],
				caution: [
					'Face shield or safety glasses on, stand aside. Never by hand force. The maker’s word on the tool comes first.'
				],
				energy: station.energy
			},
			{
				step: 'locks',
				text: [
					`${parts.locks ? `Locks in (${parts.locks.name})` : 'Locks in'}, stuck with assembly grease, both halves level`
				]
			},
			{ step: 'release', text: ['Release slowly, watching both halves go home'] },
			{
				step: 'tap',
				text: ['Tap the retainer with a soft block, and watch the locks stay'],
				caution: ['Out of line with the stem: locks that are not home let go now.']
			},
			{ step: 'look', text: ['Look: level, and as high as its neighbour'] }
		],
		needs
	);
}

function locatorStep({ stack }: StationSheet, parts: KindSetup): Draft {
	const shims = joined(
		stack.shims.map((shim): Phrase => say`${ofLength(shim)}`),
		', then '
	);
	const locator = parts.locator ? parts.locator.name : 'no locator on this job';
	return {
		step: 'locator',
		text:
			stack.shims.length > 0
				? say`Shim ${shims} against the head; locator on it: ${locator}`
				: say`No shim here. Locator in: ${locator}`
	};
}

const valveSteps = ({ label }: StationEntry, parts: KindSetup): Draft[] => [
	{
		step: 'stem',
		text: [
			`The valve of ${label}${parts.valve ? ` (${parts.valve.name})` : ''}: stem oiled or greased`
		]
	},
	{ step: 'sleeve', text: ['Protector sleeve over the lock grooves'] },
	{ step: 'valve', text: ['Valve in, turned by hand: it must run free'] }
];

function sealSteps({ seal }: KindSetup): Draft[] {
	const home =
		seal?.restsOn === 'locator'
			? 'home is down on the locator'
			: seal?.restsOn === 'guide'
				? 'home is on the guide; the gap that stays to the locator is right'
				: 'home is where its maker says';
	return [
		{
			step: 'seal',
			text: [`Seal driven home, garter spring off while driving and back on: ${home}`]
		},
		{ step: 'seal height', text: ['Seal height looked at, as its neighbours'] }
	];
}

function springStep(entry: StationEntry, { spring }: KindSetup): Draft {
	const ways = [
		(spring?.build === 'conical' ||
			spring?.build === 'narrowing' ||
			spring?.build === 'dual conical') &&
			'small end up',
		spring?.progressive && 'close coils down, on the head',
		spring?.markedTop && 'marked end up'
	].filter((way) => typeof way === 'string');
	const which = entry.spring ? `spring ${entry.spring}` : 'spring';
	return { step: 'spring', text: [[`This station’s ${which} on`, ...ways].join(', ')] };
}
