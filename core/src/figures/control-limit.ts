/**
 * The engine speed at which a spring can just make its valve follow the cam, were the train
 * rigid: an upper bound, so that it says stop or watch and never clear. Source: handbook §11.
 */
import { lengthOf, mm, type Millimetres, type RevolutionsPerMinute } from '../units/index.ts';
import { message, type Message, type Need } from '../message/index.ts';
import { rigidLimit, type RigidLimit, type RigidTrain } from '../control/index.ts';
import type { Job, KindSetup } from '../document/index.ts';
import { lobeOfCard, type Lobe, type LobeFault, type LobeFound } from '../lobe/index.ts';
import { followingMass, type FollowingMass, type FollowingPart } from '../mass/index.ts';
import type { Curve } from '../spring/index.ts';
import type { Kind } from '../station/index.ts';
import { judge, notMeasured, type Verdict } from '../verdict/index.ts';
import { figure } from './figure.ts';
import { UNSAID_LIMITS } from './job-limits.ts';
import type { StationRead } from './read.ts';
import { lacking, unknownThere } from './spring-loads.ts';

declare module '../message/message.ts' {
	interface Messages {
		'need.engine-speed': null;
		'need.train': null;
		'need.rocker.ratio': null;
		'need.valve.mass': null;
		'need.retainer.mass': null;
		'need.locks.mass': null;
		'need.lash-cap.mass': null;
		'need.spring.mass': null;
		'need.lifter.mass': null;
		'need.rocker.inertia': null;
		'need.pushrod-mass': null;
		'lobe.fault': { readonly fault: LobeFault };
		'control.below-speed': { readonly limit: number; readonly speed: number };
		'control.little-headroom': {
			readonly limit: number;
			readonly wanted: number;
			readonly headroom: number;
		};
		'control.too-close': null;
		/** The rigid limit is high enough, which clears nothing. */
		'control.not-known': { readonly limit: number };
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'highest-speed': true;
		'control-headroom': true;
	}
}

/** In rpm of the crankshaft; null for a job whose cam says nothing of its lobe's shape. */
export const controlLimit = figure({ dimension: 'speed', isColumn: true, verdict: judged });

/** What is asked for where a part's mass is missing. */
function massNeed(of: FollowingPart, { rocker }: KindSetup): Need {
	if (of === 'pushrod') return message('need.pushrod-mass');
	if (of === 'rocker') return message(rocker ? 'need.rocker.inertia' : 'need.rocker');
	return message(`need.${of}.mass`);
}

/** Loads of a card may be off by this part, those of a tested spring by a fifth of it. */
export const CARD_SPREAD = 0.05;
const SPRING_SPREAD = { card: CARD_SPREAD, tested: 0.01 } as const;

type CamLobe = NonNullable<Job['setup']['cam']>[Kind];
/** What was found of each card: every station of a kind asks for the same. */
const known = new WeakMap<CamLobe, LobeFound | null>();

/** The lobe of a kind, as the job's cam card has it; null where that says nothing of its shape. */
export function lobeOf({ setup }: Job, kind: Kind): LobeFound | null {
	const card = setup.cam?.[kind];
	if (!card) return null;
	const before = known.get(card);
	if (before !== undefined) return before;
	const found = lobeFrom(card);
	known.set(card, found);
	return found;
}

function lobeFrom(card: CamLobe): LobeFound | null {
	const first = card.duration !== undefined && card.durationAt;
	return lobeOfCard({
		lift: lengthOf(card.lobe),
		durations: first
			? [
					{ lift: lengthOf(first), degrees: card.duration! },
					...(card.second
						? [{ lift: lengthOf(card.second.at), degrees: card.second.duration }]
						: [])
				]
			: [],
		table: (card.table ?? []).map(({ degree, lift }) => ({ degree, lift: lengthOf(lift) }))
	});
}

/** Valve lift over lobe lift; null where nobody said. */
export function ratioOf(parts: KindSetup, train: Job['setup']['train']): number | null {
	if (train === 'bucket') return 1;
	return parts.lift?.sort === 'lobe' ? parts.lift.ratio : (parts.rocker?.ratio ?? null);
}

/** All that a valve's control is worked out from; what is not known of it is named. */
export interface ControlRead {
	readonly lobe: Lobe | null;
	readonly ratio: number | null;
	/** At the valve; 0 for hydraulic lifters. */
	readonly lash: Millimetres;
	readonly mass: FollowingMass | null;
	readonly needs: readonly Need[];
}

/** What a kind's parts and the job's cam say of a train. */
export function controlRead(job: Job, kind: Kind, parts: KindSetup): ControlRead {
	const { train, use, lifters } = job.setup;
	const ratio = ratioOf(parts, train);
	const mass = train && ratio !== null ? followingMass(parts, train, ratio) : null;
	return {
		lobe: lobeOf(job, kind)?.lobe ?? null,
		ratio,
		lash: lifters === 'solid' ? lengthOf(parts.lash?.setting ?? '0 mm') : mm(0),
		mass,
		needs: [
			...(use.engineSpeed === undefined ? [message('need.engine-speed')] : []),
			...(train ? [] : [message('need.train')]),
			...(ratio === null ? [message('need.rocker.ratio')] : []),
			...(mass?.missing ?? []).map((of) => massNeed(of, parts))
		]
	};
}

/** The train of a valve under this spring at this height; null while something of it is not known. */
export function rigidTrainOf(
	{ lobe, ratio, lash, mass }: ControlRead,
	curve: Curve | null,
	height: Millimetres | null
): RigidTrain | null {
	if (!lobe || ratio === null || !mass || mass.missing.length > 0) return null;
	return curve && height !== null ? { lobe, ratio, lash, curve, height, mass: mass.total } : null;
}

function judged(station: StationRead): Verdict<RevolutionsPerMinute> | null {
	const { job, station: entry, parts, kind, height, shared } = station;
	const found = lobeOf(job, entry.kind);
	if (!found) return null;
	if (found.fault) return notMeasured(message('lobe.fault', { fault: found.fault }));
	const read = controlRead(job, entry.kind, parts);
	const needs = [...lacking(station, 'open-load'), ...read.needs];
	const train = rigidTrainOf(read, kind.curve, height);
	if (needs.length > 0 || !train) return notMeasured(needs);
	const limit = rigidLimit(train);
	if (!limit) return notMeasured(unknownThere(kind, mm(height! - kind.lift!.net)));
	const speed = limit.speed as RevolutionsPerMinute;
	const highest = job.setup.use.engineSpeed! as RevolutionsPerMinute;
	const wanted = wantedSpeed(job)! as RevolutionsPerMinute;
	const verdict = judge(speed, {
		dimension: 'speed',
		limits: [
			{ code: 'highest-speed', side: 'floor', at: highest, severity: 'stop' },
			{ code: 'control-headroom', side: 'floor', at: wanted, severity: 'watch' }
		],
		sources: [
			'measured',
			{ of: 'spring', source: kind.sources.spring! },
			{ of: 'lift', source: kind.sources.lift! }
		],
		uncertainty:
			speed * controlSpread(train.lobe, limit, read.mass!, SPRING_SPREAD[train.curve.from]),
		remedy: ({ code }, state): Message =>
			state === 'inconclusive'
				? message('control.too-close')
				: code === 'highest-speed'
					? message('control.below-speed', { limit: speed, speed: highest })
					: message('control.little-headroom', {
							limit: speed,
							wanted,
							headroom: shared.limits.controlHeadroom
						})
	});
	if (verdict.state !== 'clear') return verdict;
	return {
		...verdict,
		state: 'not-measured',
		remedy: message('control.not-known', { limit: speed })
	};
}

/** The speed that a valve is to stay with its cam to, in rpm: the job's highest with the headroom wanted; null where nobody said. */
export function wantedSpeed({ setup }: Job): number | null {
	const { engineSpeed } = setup.use;
	if (engineSpeed === undefined) return null;
	return engineSpeed * (1 + (setup.limits.controlHeadroom ?? UNSAID_LIMITS.controlHeadroom));
}

/** Half-width of a limit's 95 % interval as a part of it, from lobe, mass and spring: it goes by the root of each. */
export function controlSpread(
	lobe: Lobe,
	{ angle }: RigidLimit,
	mass: Pick<FollowingMass, 'total' | 'uncertainty'>,
	spring: number
): number {
	const acceleration = Math.abs(lobe.at(angle).acceleration);
	return (
		Math.hypot(lobe.uncertainty(angle) / acceleration, mass.uncertainty / mass.total, spring) / 2
	);
}
