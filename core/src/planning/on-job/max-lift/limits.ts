/**
 * How much lift each limit leaves: coil bind, retainer to seal, piston to valve,
 * the spring's card, each with its floor kept (docs/trade/sheet.md). All lengths in millimetres.
 */
import type { Lift } from '../../../valvetrain/lift/index.ts';
import {
	lengthOf,
	mm,
	toComparisonStep,
	type Millimetres
} from '../../../foundation/units/index.ts';
import { partsOf, type Job } from '../../../job/document/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import type { KindSheet, StationSheet } from '../../../sheet/figures/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';

export const LIFT_LIMITS = [
	'coil-bind',
	'retainer-to-seal',
	'piston-to-valve',
	'rocker-to-retainer',
	'spring-card'
] as const;
export type LiftLimit = (typeof LIFT_LIMITS)[number];

export interface LimitAt {
	readonly limit: LiftLimit;
	readonly lift: Millimetres;
	/** The station that sets it; null where all share it, as the card's. */
	readonly station: string | null;
	/** Worked out at the height aimed for, as no height is measured yet. */
	readonly atTarget?: boolean;
}

/** A change that is not of named parts. */
export interface Change {
	readonly seal?: Millimetres;
	readonly height?: Millimetres;
	/** What rocker and retainer have more between them. */
	readonly rocker?: Millimetres;
	readonly noShims?: boolean;
	readonly anyCard?: boolean;
}

/**
 * Returns the known limits at the intakes or exhausts, the nearest first. Before any height is
 * measured, coil bind is given at the target height. Source: docs/trade/sheet.md.
 *
 * @returns each with the lift in mm at which it is met, and the station where that is
 */
export function limitsOf(job: Job, sheet: Sheet, kind: Kind, change: Change = {}): LimitAt[] {
	const stations = sheet.stations.filter((station) => station.kind === kind);
	const bindFloor = lengthOf(job.setup.limits.bindFloor);
	const sealFloor = lengthOf(job.setup.limits.sealFloor);
	const smallest = (limit: LiftLimit, liftAt: (station: StationSheet) => number | null) => {
		const known = stations.flatMap((station) => {
			const lift = liftAt(station);
			return lift === null ? [] : [{ limit, lift: mm(lift), station: station.label }];
		});
		return known.toSorted((a, b) => a.lift - b.lift).slice(0, 1);
	};
	return [
		...bindAtTarget(sheet.kinds[kind], stations, bindFloor, change),
		...smallest('coil-bind', ({ figures, shared, stack }) => {
			if (figures.height.figure === null || !shared.bind) return null;
			const shims = change.noShims ? sum(stack.shims) : 0;
			return figures.height.figure + shims + (change.height ?? 0) - shared.bind.height - bindFloor;
		}),
		// Read at full lift only, what was left there is on top of that lift.
		...smallest('retainer-to-seal', ({ sealGap, figures, shared }) => {
			const atLift = figures.sealClearance.figure;
			const gap = sealGap ?? (atLift === null || !shared.lift ? null : shared.lift.worst + atLift);
			return gap === null ? null : gap + (change.seal ?? 0) - sealFloor;
		}),
		...smallest('rocker-to-retainer', ({ rockerGaps, shared }) =>
			shared.lift === null
				? null
				: liftAtRockerFloor(
						rockerGaps.map((gap) => (gap === null ? null : mm(gap + (change.rocker ?? 0)))),
						shared.lift,
						lengthOf(job.setup.limits.rockerFloor)
					)
		),
		// As if the whole of more lift came where valve and piston are nearest; at the timing it was measured with.
		...smallest('piston-to-valve', ({ kind, figures: { piston }, shared }) =>
			piston === null || piston.figure === null || !shared.lift
				? null
				: shared.lift.worst + piston.figure - lengthOf(job.setup.limits.pistonFloors[kind])
		),
		...(change.anyCard
			? []
			: smallest('spring-card', ({ label }) => {
					const entry = job.stations.find((station) => station.label === label)!;
					const max = partsOf(job.setup, entry).spring?.maxLift;
					return max ? lengthOf(max) : null;
				}).map((limit) => ({ ...limit, station: null })))
	].toSorted((a, b) => a.lift - b.lift);
}

/** Coil bind at the height aimed for, while no station of the kind has one; nothing after that. */
function bindAtTarget(
	{ target, bind }: KindSheet,
	stations: readonly StationSheet[],
	bindFloor: Millimetres,
	change: Change
): LimitAt[] {
	const isMeasured = stations.some(({ figures }) => figures.height.figure !== null);
	if (isMeasured || target.height === null || !bind) return [];
	const lift = mm(target.height + (change.height ?? 0) - bind.height - bindFloor);
	return [{ limit: 'coil-bind', lift, station: null, atTarget: true }];
}

/**
 * The lift at which rocker and retainer would come as near as their floor, along
 * the line through the two readings at the greatest lifts; null where they do not
 * come nearer, or were read at one place only and clear it there.
 *
 * @param gaps closed, at half and at full lift
 *
 * @example 3.0 mm at half, 2.0 at full lift of 14 mm, floor 0.76: 7 mm of lift cost 1.0; 22.68 mm
 */
export function liftAtRockerFloor(
	gaps: readonly (Millimetres | null)[],
	{ gross, worst }: Lift,
	floor: Millimetres
): Millimetres | null {
	const read = gaps.flatMap((gap, i) => (gap === null ? [] : [{ gap, at: (i * gross) / 2 }]));
	const last = read.at(-1);
	const before = read.at(-2);
	if (!last) return null;
	const under = read.find(({ gap }) => toComparisonStep(gap - floor, 'length') < 0);
	if (!before) return under ? mm(0) : null;
	const nearer = (before.gap - last.gap) / (last.at - before.at);
	if (nearer <= 0) return under ? mm(0) : null;
	return mm(Math.max(0, last.at + (last.gap - floor) / nearer + worst - gross));
}

/** The sum of lengths in mm; 0 for none. */
export const sum = (lengths: readonly number[]) =>
	lengths.reduce((total, length) => total + length, 0);
