/** What holds a job's valves to their cam: the trains of its stations, and what follows from them (docs/trade/valvetrain.md#control). */
import {
	rigidLimit,
	surgeFrequency,
	USUAL_SEAT,
	type Assumed,
	type CompliantTrain,
	type RigidLimit,
	type RigidTrain,
	type Surge
} from '../../control/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import {
	controlLimitOf,
	motionBasis,
	rigidTrainOf,
	type CoilMode,
	type ControlRead
} from '../../../sheet/figures/index.ts';
import type { FollowingMass } from '../../../sheet/mass/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import { kilograms, mm, newtonsPerMm, type Kilograms } from '../../../foundation/units/index.ts';

/** A station whose valve's control can be worked out. */
export interface Controlled {
	readonly station: string;
	readonly kind: Kind;
	readonly train: RigidTrain;
	readonly mass: FollowingMass;
	readonly limit: RigidLimit;
	/** Half-width of the 95 % interval of its speeds, as a part of them: from lobe, mass and spring. */
	readonly spread: number;
	/** How its spring's coils swing; null where its mass or rate is not known. */
	readonly surge: Surge | null;
	/** The first mode of each coil of a dual or triple spring, from its size; empty where one is not known. */
	readonly coilModes: readonly CoilMode[];
	/** How its train is taken to give. */
	readonly assumed: Assumed;
	/** What its motion is worked out from, to be kept with it. */
	readonly basis: readonly number[];
}

/** Every station of which all is known that its rigid limit needs, in the order of the sheet. */
export function controlledStations(sheet: Sheet): Controlled[] {
	return sheet.stations.flatMap(({ label, kind, shared: { curve, control }, figures }) => {
		const train = control && rigidTrainOf(control, curve, figures.height.figure);
		const found = train && controlLimitOf(train, control!);
		if (!train || !found) return [];
		const surge = surgeOf(train, control!.coils);
		return [
			{
				station: label,
				kind,
				train,
				mass: control!.mass!,
				limit: found.limit,
				spread: found.uncertainty / found.limit.speed,
				surge,
				coilModes: control!.coilModes,
				assumed: control!.assumed!,
				basis: motionBasis(train, control!)
			}
		];
	});
}

/**
 * The lowest frequency at which a coil of a station's spring swings, in Hz: of each coil by itself
 * where its size is known, else of all taken as one; null where neither is known.
 */
export function lowestFrequency({ surge, coilModes }: Pick<Controlled, 'surge' | 'coilModes'>) {
	const all = [...coilModes.map(({ frequency }) => frequency), ...(surge ? [surge.frequency] : [])];
	return all.length > 0 ? Math.min(...all) : null;
}

/** The coils' first mode, all of a set taken as one: rate over the lift, mass of what moves. */
function surgeOf(
	{ curve, height, lobe, ratio, lash }: RigidTrain,
	coils: ControlRead['coils']
): Surge | null {
	const lift = mm(ratio * lobe.peak - lash);
	const [closed, open] = [curve.load(height), curve.load(mm(height - lift))];
	if (!coils || closed === null || open === null || open <= closed) return null;
	const rate = newtonsPerMm((open - closed) / lift);
	return { ...coils, frequency: surgeFrequency(rate, coils.mass) };
}

/**
 * The train that gives.
 *
 * @param softer what the stiffness is multiplied by: 0.7 for the low end of its band
 */
export function compliantOf(
	{ train, surge, assumed }: Pick<Controlled, 'train' | 'surge' | 'assumed'>,
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
