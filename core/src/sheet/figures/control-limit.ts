/**
 * The engine speed at which a spring can just make its valve follow the cam, were the train
 * rigid: an upper bound, so that it says stop or watch and never clear. Source: docs/trade/valvetrain.md#control.
 */
import { mm, type RevolutionsPerMinute } from '../../foundation/units/index.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import { rigidLimit, type RigidLimit, type RigidTrain } from '../../valvetrain/control/index.ts';
import type { Job } from '../../job/document/index.ts';
import type { Lobe, LobeFault } from '../../valvetrain/lobe/index.ts';
import type { FollowingMass } from '../mass/index.ts';
import { byAlarm, judge, notMeasured, type Verdict } from '../../foundation/verdict/index.ts';
import { rigidTrainOf, type ControlRead } from './control-read.ts';
import { figure } from './figure.ts';
import { UNSAID_LIMITS } from './job-limits.ts';
import { isFromThese, keptMotion, motionBasis, motionState, motionWithin } from './kept-motion.ts';
import type { StationRead } from './read.ts';
import { lacking, unknownThere } from './spring-loads.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
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
		/** Something of the train changed since its motion was worked out. */
		'control.motion-outdated': null;
		/** The motion was not looked at up to the speed wanted. */
		'control.motion-too-short': { readonly to: number; readonly wanted: number };
		/** Lost on a soft train and not on a stiff one; null where on none of the stiff. */
		'control.motion-depends': {
			readonly lost: number;
			readonly surely: number | null;
			readonly speed: number;
		};
		/** Valve and cam part, or it bounces, below the highest speed or the one wanted. */
		'control.motion-lost': { readonly lost: number; readonly speed: number };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'highest-speed': true;
		'control-headroom': true;
	}
}

/** In rpm of the crankshaft; null for a job whose cam says nothing of its lobe's shape. */
export const controlLimit = figure({ dimension: 'speed', isColumn: true, verdict: judged });

/** Loads of a card may be off by this part, those of a tested spring by a fifth of it. */
export const CARD_SPREAD = 0.05;
const SPRING_SPREAD = { card: CARD_SPREAD, tested: 0.01 } as const;

/** The limit of a train that all is known of, with the half-width of its 95 % interval, in rpm; null where its spring's load is not known at some lift. */
export function controlLimitOf(
	train: RigidTrain,
	{ mass }: ControlRead
): { readonly limit: RigidLimit; readonly uncertainty: number } | null {
	const limit = rigidLimit(train);
	if (!limit) return null;
	const spread = controlSpread(train.lobe, limit, mass!, SPRING_SPREAD[train.curve.from]);
	return { limit, uncertainty: limit.speed * spread };
}

function judged(station: StationRead): Verdict<RevolutionsPerMinute> | null {
	const { job, kind, height, shared } = station;
	const read = kind.control;
	if (!read) return null;
	if (read.fault) return notMeasured(message('lobe.fault', { fault: read.fault }));
	const needs = [...lacking(station, 'open-load'), ...read.needs];
	const train = rigidTrainOf(read, kind.curve, height);
	if (needs.length > 0 || !train) return notMeasured(needs);
	const found = controlLimitOf(train, read);
	if (!found) return notMeasured(unknownThere(kind, mm(height! - kind.lift!.net)));
	const speed = found.limit.speed as RevolutionsPerMinute;
	const highest = job.setup.use.engineSpeed! as RevolutionsPerMinute;
	const wanted = wantedSpeed(job)! as RevolutionsPerMinute;
	const verdict = judge(speed, {
		dimension: 'speed',
		limits: [
			{ code: 'highest-speed', side: 'floor', at: highest, severity: 'stop' },
			{ code: 'control-headroom', side: 'floor', at: wanted, severity: 'watch' }
		],
		sources: [
			station.sources.height,
			{ of: 'spring', source: kind.sources.spring! },
			{ of: 'lift', source: kind.sources.lift! }
		],
		uncertainty: found.uncertainty,
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
	if (verdict.state === 'stop') return verdict;
	const spread = motionSpread(train, found.limit, read.mass!);
	const { state, remedy } = ofMotion(station, train, read, spread);
	// The more alarming of the two is told; the upper bound alone clears nothing.
	if (verdict.state !== 'clear' && byAlarm(verdict.state, state) <= 0) return verdict;
	return {
		...verdict,
		state,
		remedy: state === 'clear' ? null : (remedy ?? message('control.not-known', { limit: speed }))
	};
}

/** What the motion kept of a station says: it alone can clear a limit. */
function ofMotion(
	{ job, station }: StationRead,
	train: RigidTrain,
	read: ControlRead,
	spread: number
): Pick<Verdict, 'state' | 'remedy'> {
	const kept = keptMotion(job, station.label);
	if (!kept) return { state: 'not-measured', remedy: null };
	if (!isFromThese(kept, motionBasis(train, read)))
		return { state: 'not-measured', remedy: message('control.motion-outdated') };
	const [highest, wanted] = [job.setup.use.engineSpeed!, wantedSpeed(job)!];
	const state = motionState(motionWithin(kept, spread), highest, wanted);
	if (state === 'clear') return { state, remedy: null };
	const { lost, surely, to } = kept;
	if (lost === null) return { state, remedy: message('control.motion-too-short', { to, wanted }) };
	const by = state === 'stop' ? surely! : lost;
	return {
		state,
		remedy:
			state === 'inconclusive'
				? message('control.motion-depends', { lost, surely, speed: highest })
				: message('control.motion-lost', { lost: by, speed: state === 'stop' ? highest : wanted })
	};
}

/** The speed that a valve is to stay with its cam to, in rpm: the job's highest with the headroom wanted; null where nobody said. */
export function wantedSpeed({ setup }: Pick<Job, 'setup'>): number | null {
	const { engineSpeed } = setup.use;
	if (engineSpeed === undefined) return null;
	return engineSpeed * (1 + headroomWanted(setup));
}

/** What a valve is to have beyond the highest speed, as a part of it: the shop's, or the usual. */
export const headroomWanted = ({ limits }: Job['setup']): number =>
	limits.controlHeadroom ?? UNSAID_LIMITS.controlHeadroom;

/**
 * Half-width of the 95 % interval of a valve's speeds of motion, as a part of them. A motion that was
 * calculated over every lobe that the card may stand for has the lobe in it already.
 */
export const motionSpread = (
	{ lobe, curve }: RigidTrain,
	limit: RigidLimit,
	mass: Pick<FollowingMass, 'total' | 'uncertainty'>
): number => {
	const spring = SPRING_SPREAD[curve.from];
	return lobe.mayBe
		? Math.hypot(mass.uncertainty / mass.total, spring) / 2
		: controlSpread(lobe, limit, mass, spring);
};

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
