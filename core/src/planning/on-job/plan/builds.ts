/** Every way to build one station with one spring, and what keeps each from holding its floors. */
import { coilBindMargin, sealClearance } from '../../../sheet/clearance/index.ts';
import { rigidLimit } from '../../../valvetrain/control/index.ts';
import { isShimTooTight, stacks, type ShimStock } from '../../../parts/shim/index.ts';
import { pumpUpOf } from '../../../valvetrain/lift/index.ts';
import { loadUncertainty, localRate } from '../../../springs/spring/index.ts';
import { combinedUncertainty, SURELY_INSIDE } from '../../../foundation/verdict/index.ts';
import {
	bareHeightOf,
	rigidTrainOf,
	rockerClearanceForBuild,
	sealGapAtLiftForBuild,
	sealGapForBuild,
	shimRoomOf,
	tipHeightForBuild,
	type JobLimits,
	type KindSheet
} from '../../../sheet/figures/index.ts';
import { installedHeight } from '../../../foundation/station/index.ts';
import {
	lengthOf,
	loadOf,
	mm,
	toComparisonStep,
	type Millimetres,
	type Newtons,
	type RevolutionsPerMinute
} from '../../../foundation/units/index.ts';
import { message, type Need } from '../../../foundation/message/index.ts';
import {
	meanOfRepeats,
	ROCKER_GAPS,
	type CurrentReadings,
	type KindSetup,
	type RepeatMean,
	type StationEntry
} from '../../../job/document/index.ts';
import type { PlannedLocks } from './types.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'need.target': null;
	}
}

/** What a build must hold. */
export const BUILD_LIMITS = [
	'seal-floor',
	'tip-height',
	'rocker-floor',
	'bind-floor',
	'spring-tested-range',
	'min-seat-load',
	'control-limit'
] as const;
export type BuildLimit = (typeof BUILD_LIMITS)[number];

/** Distances are counted in whole steps of this many millimetres. */
export const QUANTUM = 0.005;

export interface BuildOption {
	readonly shims: readonly Millimetres[];
	/** Which of the sizes they are. */
	readonly sizes: readonly ShimStock[];
	/** Locks in place of those the station has. */
	readonly locks: PlannedLocks | null;
	readonly height: Millimetres;
	/** Load of the spring at this height, and what is left to bind at full lift; null where not known. */
	readonly seatLoad: Newtons | null;
	readonly bindMargin: Millimetres | null;
	readonly distance: number;
	readonly parts: number;
	/** How far below its floor the worst figure is; 0 where all hold. */
	readonly short: Millimetres;
	/** The floor that fails first. */
	readonly floor: BuildLimit | null;
}

export interface ToBuild {
	readonly entry: StationEntry;
	readonly parts: KindSetup;
	readonly current: CurrentReadings;
	readonly kind: KindSheet;
	readonly shared: JobLimits;
	/** Sizes that may go under it. */
	readonly sizes: readonly ShimStock[];
	readonly locks: readonly (PlannedLocks | null)[];
}

/**
 * The builds of a station that the plan may choose from: as it stands alone where
 * that holds every floor inside the dead band, else as it stands and whatever
 * comes closer to the aim; nothing closer by eating into a margin that is kept now.
 */
export function buildsOf(station: ToBuild): BuildOption[] {
	const all = everyBuild(station);
	const { entry, kind, shared } = station;
	const shims = entry.shims.map(lengthOf).toSorted((a, b) => b - a);
	const now = all.find(
		(build) =>
			build.locks === null &&
			build.shims.length === shims.length &&
			build.shims.every((shim, i) => shim === shims[i])
	);
	const aim = kind.target.height;
	if (!now || now.short > 0 || aim === null) return all;
	const offBy = ({ height }: BuildOption) => toComparisonStep(Math.abs(height - aim), 'length');
	if (offBy(now) <= toComparisonStep(shared.limits.deadBand, 'length')) return [now];
	const min = Math.min(kind.lowestAimHeight ?? Number.NEGATIVE_INFINITY, now.height);
	return all.filter(
		(build) =>
			build === now ||
			(offBy(build) < offBy(now) && toComparisonStep(build.height - min, 'length') >= 0)
	);
}

/** Every way to build a station whose height is measured; none where it is not. */
function everyBuild(station: ToBuild): BuildOption[] {
	const { entry, parts, current, kind, shared } = station;
	const bare = meanOfRepeats(current['installed-height'], bareHeightOf, shared.repeats);
	if (!bare) return [];
	const own = lengthOf(entry.lockOffset ?? parts.locks?.offset ?? '0 mm');
	const room = shimRoomOf(parts);
	const sizes = station.sizes.filter((size) => !isShimTooTight(size, room));
	const all = stacks(sizes, shared.limits.maxShims);
	return station.locks.flatMap((locks) => {
		const offset = locks ? lengthOf(locks.offset) : own;
		const unshimmed = installedHeight(bare.value, {
			locator: lengthOf(parts.locator?.thickness ?? '0 mm'),
			shims: mm(0),
			lockOffset: offset,
			retainerLanding: lengthOf(parts.retainer?.landingHeight ?? '0 mm')
		});
		const above = floorsAbove(station, offset);
		return all.map((sizes): BuildOption => {
			const shims = sizes.map(({ thickness }) => thickness);
			const height = mm(shims.reduce((left, shim) => left - shim, unshimmed as number));
			const worst = [...above, ...floorsBelow(station, height, bare)].reduce(
				(a, b) => (b.short > a.short ? b : a),
				{ name: null as BuildLimit | null, short: 0 }
			);
			return {
				shims,
				sizes,
				locks,
				height,
				seatLoad: kind.curve?.load(height) ?? null,
				bindMargin:
					kind.lift && kind.bind ? coilBindMargin(height, kind.lift.worst, kind.bind.height) : null,
				distance: distanceFrom(kind, height, shared.limits.deadBand),
				parts: shims.length + (locks ? 1 : 0),
				short: mm(worst.short),
				floor: worst.name
			};
		});
	});
}

/** Whether a station can be planned at all, and if not, what is missing. */
export function missingFor({ current, kind, parts }: ToBuild): Need | null {
	if (current['installed-height'].length === 0) return message('need.height');
	if (!kind.lift) return message('need.lift');
	if (!kind.bind) return message('need.bind');
	if (kind.target.height === null && parts.aim.method !== 'as-it-stands')
		return message('need.target');
	return null;
}

/** How far beyond the dead band a height is from its aim, in quanta; nothing to go by for "as it stands". */
function distanceFrom(kind: KindSheet, height: Millimetres, deadBand: Millimetres): number {
	if (kind.target.height === null) return 0;
	const off = Math.abs(height - kind.target.height) - deadBand;
	return Math.max(0, Math.ceil(off / QUANTUM - 1e-6));
}

interface Floor {
	readonly name: BuildLimit;
	/** How far below the floor, with the figure's uncertainty against it. */
	readonly short: number;
}

/** A figure nearer to its floor than it is known is not planned for: it could not be called. */
const below = (name: BuildLimit, margin: number, uncertainty: number): Floor => {
	const inside = toComparisonStep(margin, 'length');
	const needed = uncertainty * SURELY_INSIDE;
	return { name, short: inside >= needed ? 0 : Math.max(needed - inside, 1e-4) };
};

/** Floors that only the locks move: seal, tip and rocker. */
function floorsAbove({ current, parts, kind, shared }: ToBuild, offset: Millimetres): Floor[] {
	const { limits, railTip, repeats } = shared;
	const pumpUp = kind.lift ? pumpUpOf(kind.lift) : mm(0);
	const liftUncertainty = kind.lift?.uncertainty ?? 0;
	const floors: Floor[] = [];
	const hold = (name: BuildLimit, figure: RepeatMean | null, floor: number) => {
		if (figure) floors.push(below(name, figure.value - floor, figure.uncertainty));
	};
	const atLift = meanOfRepeats(
		current['seal-gap-at-lift'],
		(r) => sealGapAtLiftForBuild(r, offset, parts, pumpUp),
		repeats
	);
	const closed = meanOfRepeats(
		current['seal-gap'],
		(r) => sealGapForBuild(r, offset, parts),
		repeats
	);
	// As the sheet has it: where it was read both ways, each must keep the floor.
	hold('seal-floor', atLift, limits.sealFloor);
	if (closed && kind.lift)
		hold(
			'seal-floor',
			{
				...closed,
				value: sealClearance(closed.value, kind.lift.worst),
				uncertainty: mm(combinedUncertainty(closed.uncertainty, liftUncertainty))
			},
			limits.sealFloor
		);
	hold(
		'tip-height',
		meanOfRepeats(current['tip-height'], (r) => tipHeightForBuild(r, offset, parts), repeats),
		parts.rocker?.nose === 'rail' ? railTip : 0
	);
	for (const gap of ROCKER_GAPS)
		hold(
			'rocker-floor',
			meanOfRepeats(current[gap], (r) => rockerClearanceForBuild(r, offset, parts), repeats),
			limits.rockerFloor
		);
	return floors;
}

/** Floors that the height moves: bind, what the spring is known for, least seat load. */
function floorsBelow(
	{ parts, kind, shared }: ToBuild,
	height: Millimetres,
	bare: RepeatMean
): Floor[] {
	const { lift, bind, curve } = kind;
	const floors: Floor[] = [];
	if (lift && bind) {
		const margin = coilBindMargin(height, lift.worst, bind.height) - shared.limits.bindFloor;
		const unsure = combinedUncertainty(bare.uncertainty, bind.uncertainty, lift.uncertainty ?? 0);
		floors.push(below('bind-floor', margin, unsure));
	}
	if (curve) {
		floors.push(below('spring-tested-range', curve.highest - height, 0));
		if (lift) floors.push(below('spring-tested-range', height - lift.net - curve.lowest, 0));
	}
	if (parts.aim.method === 'as-it-stands' && curve) {
		const load = curve.load(height);
		const min = loadOf(parts.aim.minSeatLoad);
		if (load !== null) {
			// Without a rate nobody knows how many millimeters are missing; that some are is known.
			const rate = localRate(curve, height) ?? 1;
			const unsure = loadUncertainty(curve, height, bare.uncertainty);
			floors.push(below('min-seat-load', (load - min) / rate, unsure / rate));
		}
	}
	const short = shared.floorSpeed === null ? 0 : controlShort(kind, height, shared.floorSpeed);
	if (short > 0) floors.push({ name: 'control-limit', short });
	return floors;
}

/** How much shorter a spring would have to stand to hold its valve to a speed, in mm; 0 where it does, or nobody knows. */
function controlShort(
	{ control, curve, rate }: KindSheet,
	height: Millimetres,
	speed: RevolutionsPerMinute
): number {
	const train = control && rigidTrainOf(control, curve, height);
	const limit = train && rigidLimit(train);
	if (!limit || !rate || limit.speed >= speed) return 0;
	const lift = train.ratio * train.lobe.at(limit.angle).lift - train.lash;
	const force = train.curve.load(mm(height - lift)) ?? 0;
	return (force * ((speed / limit.speed) ** 2 - 1)) / rate;
}
