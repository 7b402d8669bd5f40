/** What is known of a kind's train: its lobe, its ratio, and all that follows. Source: docs/trade/valvetrain.md#control. */
import {
	kilograms,
	lengthOf,
	loadOf,
	massOf,
	mm,
	newtonsPerMm,
	rateOf,
	type Kilograms,
	type Millimetres
} from '../../foundation/units/index.ts';
import { message, type Need } from '../../foundation/message/index.ts';
import {
	ACTIVE_SHARE,
	coilDamping,
	coilFrequency,
	STIFFNESS_SPREAD,
	USUAL_TRAIN,
	type Assumed,
	type RigidTrain
} from '../../valvetrain/control/index.ts';
import type { KindSetup, Setup } from '../../job/document/index.ts';
import {
	lobeOfCard,
	type Lobe,
	type LobeFault,
	type LobeFound
} from '../../valvetrain/lobe/index.ts';
import {
	estimatedMass,
	followingMass,
	type FollowingMass,
	type FollowingPart
} from '../mass/index.ts';
import type { Train } from '../../parts/part/index.ts';
import type { Curve } from '../../springs/spring/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import { trainRatio } from './ratio.ts';

declare module '../../foundation/message/message.ts' {
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
	}
}

/** The first mode of one coil of a spring that has several. */
export interface CoilMode {
	readonly coil: 'outer' | 'inner' | 'third';
	/** In Hz. */
	readonly frequency: number;
}

/** All that a valve's control is worked out from; what is not known of it is named. */
export interface ControlRead {
	readonly lobe: Lobe | null;
	readonly fault: LobeFault | null;
	readonly ratio: number | null;
	/** At the valve; 0 for hydraulic lifters. */
	readonly lash: Millimetres;
	readonly mass: FollowingMass | null;
	/** How the train gives; null where no type of it is chosen. */
	readonly assumed: Assumed | null;
	/** What of the spring swings, and how it is damped; null where its mass is not known. */
	readonly coils: { readonly mass: Kilograms; readonly damping: number } | null;
	/** The first mode of each coil of a dual or triple spring, from its size; empty where one of them is not known. */
	readonly coilModes: readonly CoilMode[];
	readonly needs: readonly Need[];
}

/** What is asked for where a part's mass is missing. */
function massNeed(of: FollowingPart, { rocker }: KindSetup): Need {
	if (of === 'pushrod') return message('need.pushrod-mass');
	if (of === 'rocker') return message(rocker ? 'need.rocker.inertia' : 'need.rocker');
	return message(`need.${of}.mass`);
}

type CamLobe = NonNullable<Setup['cam']>[Kind];
/** What was found of each card: every station of a kind asks for the same. */
const known = new WeakMap<CamLobe, LobeFound | null>();

/** The lobe of a kind, as the job's cam card has it; null where that says nothing of its shape. */
export function lobeOf(setup: Setup, kind: Kind): LobeFound | null {
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
		table: (card.table ?? []).map(({ degree, lift }) => ({ degree, lift: lengthOf(lift) })),
		confirmedDuration: card.confirmedDuration
	});
}

/** What a kind's parts and the job's cam say of a train; null for a cam that says nothing of its lobe's shape. */
export function controlRead(setup: Setup, kind: Kind, parts: KindSetup): ControlRead | null {
	const found = lobeOf(setup, kind);
	if (!found) return null;
	const { train, use, lifters } = setup;
	const ratio = trainRatio(setup, parts);
	const mass = train && ratio !== null ? followingMass(parts, train, ratio) : null;
	return {
		lobe: found.lobe,
		fault: found.fault,
		ratio,
		lash: lifters === 'solid' ? lengthOf(parts.lash?.setting ?? '0 mm') : mm(0),
		mass,
		assumed: assumedTrain(setup),
		coils: coilsOf(parts),
		coilModes: coilModesOf(parts),
		needs: [
			...(use.engineSpeed === undefined ? [message('need.engine-speed')] : []),
			...(train ? [] : [message('need.train')]),
			...(ratio === null ? [message('need.rocker.ratio')] : []),
			...(mass?.missing ?? []).map((of) => massNeed(of, parts))
		]
	};
}

/** Of a spring that is weighed, or whose coils are known well enough to say what it weighs. */
function coilsOf(parts: KindSetup): ControlRead['coils'] {
	const { spring } = parts;
	const mass = spring?.mass ? massOf(spring.mass) : estimatedMass('spring', parts);
	return spring && mass !== null
		? { mass: kilograms(ACTIVE_SHARE * mass), damping: coilDamping(spring.build) }
		: null;
}

/** Each coil of a spring that has several swings by itself. */
function coilModesOf({ spring }: KindSetup): CoilMode[] {
	if (!spring?.inner) return [];
	const { outer, inner, third, bind, innerBind, thirdBind } = spring;
	const modes = (
		[
			['outer', outer, bind],
			['inner', inner, innerBind],
			['third', third, thirdBind]
		] as const
	)
		.filter(([, coil, solid]) => coil || solid)
		.map(([coil, size, solid]) => {
			const frequency =
				size && solid
					? coilFrequency(lengthOf(size.wire), lengthOf(size.outside), lengthOf(solid))
					: null;
			return { coil, frequency };
		});
	const known = modes.flatMap(({ coil, frequency }) =>
		frequency === null ? [] : [{ coil, frequency }]
	);
	return known.length === modes.length ? known : [];
}

/**
 * The stiffness and damping of a setup's valvetrain: measured on the engine, entered, or the usual of
 * its type; null where no type is chosen. A measured stiffness is known as well as its deflection.
 */
export function assumedTrain({
	train: type,
	trainStiffness,
	trainTest,
	trainDamping
}: Setup): (Assumed & { readonly type: Train }) | null {
	if (!type) return null;
	const usual = USUAL_TRAIN[type];
	if (trainTest) {
		const deflection = lengthOf(trainTest.deflection);
		return {
			type,
			stiffness: newtonsPerMm(loadOf(trainTest.load) / deflection),
			damping: trainDamping ?? usual.damping,
			spread: Math.min(STIFFNESS_SPREAD, lengthOf(trainTest.within) / deflection)
		};
	}
	return {
		type,
		stiffness: trainStiffness ? rateOf(trainStiffness) : usual.stiffness,
		damping: trainDamping ?? usual.damping
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
