/**
 * How much lift each limit leaves: coil bind, retainer to seal, piston to valve,
 * the spring's card, each with its floor kept (handbook §3). All lengths in millimetres.
 */
import { lengthOf, mm, type Millimetres } from '../units/quantity.ts';
import type { Job } from '../job/schema.ts';
import type { StationSheet } from '../job/sheet.ts';
import { partsOf } from '../job/parts-of.ts';

export const LIFT_LIMITS = [
	'coil bind',
	'retainer to seal',
	'piston to valve',
	'spring card'
] as const;
export type LiftLimit = (typeof LIFT_LIMITS)[number];

export interface LimitAt {
	readonly limit: LiftLimit;
	readonly lift: Millimetres;
	/** The station that sets it; null for the card's, which all share. */
	readonly station: string | null;
}

/** A change that is not of named parts. */
export interface Change {
	readonly seal?: Millimetres;
	readonly height?: Millimetres;
	readonly noShims?: boolean;
	readonly anyCard?: boolean;
}

/** The limits that are known at stations of one kind, the nearest first. */
export function limitsOf(
	job: Job,
	stations: readonly StationSheet[],
	change: Change = {}
): LimitAt[] {
	const bindFloor = lengthOf(job.setup.limits.bindFloor);
	const sealFloor = lengthOf(job.setup.limits.sealFloor);
	const least = (limit: LiftLimit, liftAt: (station: StationSheet) => number | null) => {
		const known = stations.flatMap((station) => {
			const lift = liftAt(station);
			return lift === null ? [] : [{ limit, lift: mm(lift), station: station.label }];
		});
		return known.toSorted((a, b) => a.lift - b.lift).slice(0, 1);
	};
	return [
		...least('coil bind', ({ figures, shared, stack }) => {
			if (figures.height.figure === null || !shared.bind) return null;
			const shims = change.noShims ? sum(stack.shims) : 0;
			return figures.height.figure + shims + (change.height ?? 0) - shared.bind.height - bindFloor;
		}),
		...least('retainer to seal', ({ sealGap }) =>
			sealGap === null ? null : sealGap + (change.seal ?? 0) - sealFloor
		),
		// As if the whole of more lift came where valve and piston are nearest; at the timing it was measured with.
		...least('piston to valve', ({ kind, piston, shared }) =>
			piston === null || piston.figure === null || !shared.lift
				? null
				: shared.lift.worst + piston.figure - lengthOf(job.setup.limits.pistonFloors[kind])
		),
		...(change.anyCard
			? []
			: least('spring card', ({ label }) => {
					const entry = job.stations.find((station) => station.label === label)!;
					const greatest = partsOf(job.setup, entry).spring?.greatestLift;
					return greatest ? lengthOf(greatest) : null;
				}).map((limit) => ({ ...limit, station: null })))
	].toSorted((a, b) => a.lift - b.lift);
}

export const sum = (lengths: readonly number[]) =>
	lengths.reduce((total, length) => total + length, 0);
