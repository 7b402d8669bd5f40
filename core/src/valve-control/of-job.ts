/** What holds a job's valves to their cam: the trains of its stations, and what follows from them (handbook §11). */
import {
	rigidLimit,
	surgeFrequency,
	type CompliantTrain,
	type RigidLimit,
	type RigidTrain,
	type Surge
} from '../control/index.ts';
import { partsByStation, type Job, type KindSetup } from '../document/index.ts';
import type { Sheet } from '../evaluation/index.ts';
import { rigidTrainOf } from '../figures/index.ts';
import type { FollowingMass } from '../mass/index.ts';
import type { Train } from '../part/index.ts';
import type { Kind } from '../station/index.ts';
import { kilograms, massOf, mm, newtonsPerMm, rateOf, type Kilograms } from '../units/index.ts';
import { ACTIVE_SHARE, coilDamping, USUAL_SEAT, USUAL_TRAIN, type Assumed } from './assumed.ts';

/** A station whose valve's control can be worked out. */
export interface Controlled {
	readonly station: string;
	readonly kind: Kind;
	readonly train: RigidTrain;
	readonly mass: FollowingMass;
	readonly limit: RigidLimit;
	/** How its spring's coils swing; null where its mass or rate is not known. */
	readonly surge: Surge | null;
}

/** Every station of which all is known that its rigid limit needs, in the order of the sheet. */
export function controlledStations(job: Job, sheet: Sheet): Controlled[] {
	const partsAt = partsByStation(job);
	return sheet.stations.flatMap(({ label, kind, shared: { curve, control }, figures }) => {
		const train = control && rigidTrainOf(control, curve, figures.height.figure);
		const limit = train && rigidLimit(train);
		if (!train || !limit) return [];
		const surge = surgeOf(train, partsAt.get(label)!.spring);
		return [{ station: label, kind, train, mass: control!.mass!, limit, surge }];
	});
}

/** The coils' first mode, all of a set taken as one: rate over the lift, mass of what moves. */
function surgeOf(
	{ curve, height, lobe, ratio, lash }: RigidTrain,
	card: KindSetup['spring']
): Surge | null {
	const lift = mm(ratio * lobe.peak - lash);
	const [closed, open] = [curve.load(height), curve.load(mm(height - lift))];
	if (!card?.mass || closed === null || open === null || open <= closed) return null;
	const mass = kilograms(ACTIVE_SHARE * massOf(card.mass));
	const rate = newtonsPerMm((open - closed) / lift);
	return { mass, frequency: surgeFrequency(rate, mass), damping: coilDamping(card.build) };
}

/** The job's own stiffness and damping, or the usual of its sort of train; null where no sort is chosen. */
export function assumedTrain({ setup }: Job): (Assumed & { readonly sort: Train }) | null {
	const { train: sort, trainStiffness, trainDamping } = setup;
	if (!sort) return null;
	const usual = USUAL_TRAIN[sort];
	return {
		sort,
		stiffness: trainStiffness ? rateOf(trainStiffness) : usual.stiffness,
		damping: trainDamping ?? usual.damping
	};
}

/**
 * The train that gives.
 *
 * @param softer what the stiffness is multiplied by: 0.7 for the low end of its band
 */
export function compliantOf(
	{ train, surge }: Pick<Controlled, 'train' | 'surge'>,
	assumed: Assumed,
	softer = 1
): CompliantTrain {
	const dampingOf = (stiffness: number, part: number) =>
		2 * part * Math.sqrt(stiffness * train.mass);
	// N/mm to N/m.
	const stiffness = assumed.stiffness * 1000 * softer;
	const seat = USUAL_SEAT.stiffness * 1000;
	return {
		...train,
		stiffness,
		damping: dampingOf(stiffness, assumed.damping),
		seat: { stiffness: seat, damping: dampingOf(seat, USUAL_SEAT.damping) },
		...(surge && { surge })
	};
}

/** The rigid limit with a mass of so much more or, below nothing, less at the valve, in rpm. */
export function limitWith({ train }: Controlled, more: Kilograms): number | null {
	const mass = kilograms(train.mass + more);
	return mass > 0 ? (rigidLimit({ ...train, mass })?.speed ?? null) : null;
}
