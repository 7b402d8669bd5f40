/** Every way to build one station with one spring, and what keeps each from holding its floors. */
import { coilBindMargin, sealClearance } from '../../clearance/clearance.ts';
import { stacks } from '../../plan/shim.ts';
import { installedHeight } from '../../station/stack.ts';
import {
	lengthOf,
	loadOf,
	mm,
	toComparisonStep,
	type Millimetres,
	type Newtons
} from '../../units/quantity.ts';
import type { Standing } from '../in-force.ts';
import {
	bareHeightOf,
	plannedGap,
	plannedGapAtLift,
	plannedRocker,
	plannedTip
} from '../planned.ts';
import { ROCKER_GAPS } from '../quantities.ts';
import type { KindSetup, StationEntry } from '../schema.ts';
import type { Shared } from '../shared.ts';
import type { KindSheet } from '../sheet.ts';
import { taken, type Taken } from '../taken.ts';
import type { Locks } from './question.ts';

/** Distances are counted in whole steps of this many millimetres. */
export const QUANTUM = 0.005;

export interface Build {
	readonly shims: readonly Millimetres[];
	/** Locks in place of those the station has. */
	readonly locks: Locks | null;
	readonly height: Millimetres;
	/** Load of the spring at this height, and what is left to bind at full lift; null where not known. */
	readonly seatLoad: Newtons | null;
	readonly bindMargin: Millimetres | null;
	readonly distance: number;
	readonly parts: number;
	/** How far below its floor the worst figure is; 0 where all hold. */
	readonly short: Millimetres;
	/** The floor that fails first. */
	readonly floor: string | null;
}

export interface ToBuild {
	readonly entry: StationEntry;
	readonly parts: KindSetup;
	readonly standing: Standing;
	readonly kind: KindSheet;
	readonly shared: Shared;
	/** Sizes that may go under it. */
	readonly sizes: readonly { readonly thickness: Millimetres; readonly count: number }[];
	readonly locks: readonly (Locks | null)[];
}

/** Builds of a station whose height is measured; none where it has neither height nor aim. */
export function buildsOf(station: ToBuild): Build[] {
	const { entry, parts, standing, kind, shared, sizes } = station;
	const bare = taken(standing['installed height'], bareHeightOf);
	if (!bare) return [];
	const own = lengthOf(entry.lockOffset ?? parts.locks?.offset ?? '0 mm');
	const all = stacks(sizes, shared.limits.shimsAtMost);
	return station.locks.flatMap((locks) => {
		const offset = locks ? lengthOf(locks.offset) : own;
		const unshimmed = installedHeight(bare.value, {
			locator: lengthOf(parts.locator?.thickness ?? '0 mm'),
			shims: mm(0),
			lockOffset: offset,
			retainerLanding: lengthOf(parts.retainer?.landingHeight ?? '0 mm')
		});
		const above = floorsAbove(station, offset);
		return all.map((shims): Build => {
			const height = mm(shims.reduce((left, shim) => left - shim, unshimmed as number));
			const worst = [...above, ...floorsBelow(station, height, bare)].reduce(
				(a, b) => (b.short > a.short ? b : a),
				{ name: null as string | null, short: 0 }
			);
			return {
				shims,
				locks,
				height,
				seatLoad: kind.curve?.load(height) ?? null,
				bindMargin:
					kind.lift && kind.bind ? coilBindMargin(height, kind.lift.worst, kind.bind.height) : null,
				distance: distanceFrom(kind, height, shared.limits.shimFrom),
				parts: shims.length + (locks ? 1 : 0),
				short: mm(worst.short),
				floor: worst.name
			};
		});
	});
}

/** Whether a station can be planned at all, and if not, what is missing. */
export function missingFor({ standing, kind, parts }: ToBuild): string | null {
	if (standing['installed height'].length === 0) return 'height not measured';
	if (!kind.lift) return 'no lift';
	if (!kind.bind) return 'no bind height';
	if (kind.target.height === null && parts.aim.school !== 'as it stands') return 'no aim';
	return null;
}

/** How far beyond the dead band a height is from its aim, in quanta; nothing to go by for "as it stands". */
function distanceFrom(kind: KindSheet, height: Millimetres, deadBand: Millimetres): number {
	if (kind.target.height === null) return 0;
	const off = Math.abs(height - kind.target.height) - deadBand;
	return Math.max(0, Math.ceil(off / QUANTUM - 1e-6));
}

interface Floor {
	readonly name: string;
	/** How far below the floor, with the figure's uncertainty against it. */
	readonly short: number;
}

/** A figure nearer to its floor than it is known is not planned for: it could not be called. */
const below = (name: string, margin: number, uncertainty: number): Floor => {
	const inside = toComparisonStep(margin, 'length');
	return { name, short: inside >= uncertainty ? 0 : Math.max(uncertainty - inside, 1e-4) };
};

/** Floors that only the locks move: seal, tip and rocker. */
function floorsAbove({ standing, parts, kind, shared }: ToBuild, offset: Millimetres): Floor[] {
	const { limits, railTip } = shared;
	const floors: Floor[] = [];
	const hold = (name: string, figure: Taken | null, floor: number) => {
		if (figure) floors.push(below(name, figure.value - floor, figure.uncertainty));
	};
	const atLift = taken(standing['seal gap at lift'], (r) => plannedGapAtLift(r, offset, parts));
	const closed = taken(standing['seal gap'], (r) => plannedGap(r, offset, parts));
	if (atLift) hold('seal floor', atLift, limits.sealFloor);
	else if (closed && kind.lift)
		hold(
			'seal floor',
			{ ...closed, value: sealClearance(closed.value, kind.lift.worst) },
			limits.sealFloor
		);
	hold(
		'tip height',
		taken(standing['tip height'], (r) => plannedTip(r, offset, parts)),
		parts.rocker?.nose === 'rail' ? railTip : 0
	);
	for (const gap of ROCKER_GAPS)
		hold(
			'rocker floor',
			taken(standing[gap], (r) => plannedRocker(r, offset, parts)),
			limits.rockerFloor
		);
	return floors;
}

/** Floors that the height moves: bind, what the spring is known for, least seat load. */
function floorsBelow({ parts, kind, shared }: ToBuild, height: Millimetres, bare: Taken): Floor[] {
	const { lift, bind, curve } = kind;
	const floors: Floor[] = [];
	if (lift && bind) {
		const margin = coilBindMargin(height, lift.worst, bind.height) - shared.limits.bindFloor;
		floors.push(below('bind floor', margin, bare.uncertainty));
	}
	if (curve) {
		floors.push(below('spring tested to here', curve.highest - height, 0));
		if (lift) floors.push(below('spring tested to here', height - lift.net - curve.lowest, 0));
	}
	if (parts.aim.school === 'as it stands' && curve) {
		const load = curve.load(height);
		const least = loadOf(parts.aim.leastSeatLoad);
		if (load !== null && load < least && kind.rate)
			floors.push({ name: 'least seat load', short: (least - load) / kind.rate });
	}
	return floors;
}
