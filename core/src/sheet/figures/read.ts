/** What was read at one station, made to its build, and what stands under and on its spring. */
import {
	lengthOf,
	mm,
	newtons,
	type Millimetres,
	type Newtons
} from '../../foundation/units/index.ts';
import { installedHeight } from '../../foundation/station/index.ts';
import { pumpUpOf, type Lift } from '../../valvetrain/lift/index.ts';
import type { StationChecks } from '../checks/index.ts';
import {
	meanOfRepeats,
	ROCKER_GAPS,
	trueFigure,
	type CurrentReadings,
	type Inspection,
	type Job,
	type KindSetup,
	type Reading,
	type RepeatMean,
	type StationEntry
} from '../../job/document/index.ts';
import type { Behind, From, Source } from '../../foundation/verdict/index.ts';
import {
	lengthRead,
	sealGapForBuild,
	sealGapAtLiftForBuild,
	rockerClearanceForBuild,
	tipHeightForBuild
} from './adjust-to-build.ts';
import type { InspectedMedians } from './inspected-limits.ts';
import type { JobLimits } from './job-limits.ts';
import type { KindSheet, ShimAdvice } from './kind.ts';
import { shimAdvice, shimRoomOf } from './shim-advice.ts';

export interface StationQuestion {
	readonly job: Job;
	readonly station: StationEntry;
	/** What stands here: the kind's parts, or the station's own. */
	readonly parts: KindSetup;
	readonly current: CurrentReadings;
	readonly seen: Inspection | undefined;
	readonly checks: StationChecks;
	/** What stations with these parts have in common. */
	readonly kind: KindSheet;
	readonly shared: JobLimits;
	/** What stands in the middle of each quantity of an inspection. */
	readonly medians: InspectedMedians;
	/** Its bare height, as read. */
	readonly height: RepeatMean | null;
	/** Whether it is open if a part was forgotten on this whole head: nothing is advised until somebody says. */
	readonly isAsked: boolean;
}

/** A station as it is worked out: the question, and what its readings say of the build. */
export interface StationRead extends Omit<StationQuestion, 'height'> {
	readonly build: {
		readonly locator: Millimetres;
		readonly lockOffset: Millimetres;
		/** Thickest first. */
		readonly shims: readonly Millimetres[];
	};
	/** How far a hydraulic lifter may pump up, at the valve. */
	readonly pumpUp: Millimetres;
	/** Means of repeats, made to the build; null where nobody read them. */
	readonly read: {
		readonly height: RepeatMean | null;
		readonly gap: RepeatMean | null;
		readonly gapAtLift: RepeatMean | null;
		readonly tip: RepeatMean | null;
		/** Rocker to retainer, closed, at half and at full lift. */
		readonly rockers: readonly (RepeatMean | null)[];
		readonly headLoad: RepeatMean<Newtons> | null;
		readonly lash: RepeatMean | null;
		readonly built: RepeatMean | null;
		readonly preload: RepeatMean | null;
	};
	/** Where the readings of height and seal gap came from. */
	readonly sources: { readonly height: Source | From; readonly gap: Source | From };
	readonly bare: Millimetres | null;
	/** Installed height without shims, and with those of the build. */
	readonly unshimmed: Millimetres | null;
	readonly height: Millimetres | null;
	/** Lift at the valve, with the lash that was measured taken off. */
	readonly netLift: Millimetres | null;
	/** The shims suggested here; null where nothing is advised yet. */
	readonly shim: ShimAdvice | null;
}

/** Makes all readings of a station to its build. */
export function stationRead(question: StationQuestion): StationRead {
	const { job, station, parts, current, seen, checks, kind, shared, medians, isAsked } = question;
	const { height: heightTaken } = question;
	const { repeats } = shared;
	const lockOffset = lengthOf(station.lockOffset ?? parts.locks?.offset ?? '0 mm');
	const build = {
		locator: lengthOf(parts.locator?.thickness ?? '0 mm'),
		lockOffset,
		shims: station.shims.map(lengthOf).toSorted((a, b) => b - a)
	};
	const retainerLanding = lengthOf(parts.retainer?.landingHeight ?? '0 mm');
	const pumpUp = kind.lift ? pumpUpOf(kind.lift) : mm(0);
	const read = {
		height: heightTaken,
		gap: meanOfRepeats(
			current['seal-gap'],
			(one) => sealGapForBuild(one, lockOffset, parts),
			repeats
		),
		gapAtLift: meanOfRepeats(
			current['seal-gap-at-lift'],
			(one) => sealGapAtLiftForBuild(one, lockOffset, parts, pumpUp),
			repeats
		),
		tip: meanOfRepeats(
			current['tip-height'],
			(one) => tipHeightForBuild(one, lockOffset, parts),
			repeats
		),
		rockers: ROCKER_GAPS.map((quantity) =>
			meanOfRepeats(
				current[quantity],
				(one) => rockerClearanceForBuild(one, lockOffset, parts),
				repeats
			)
		),
		headLoad: meanOfRepeats(current['on-head-load'], (one) => newtons(trueFigure(one)), repeats),
		lash: meanOfRepeats(current.lash, lengthRead, repeats),
		built: meanOfRepeats(current['built-height'], lengthRead, repeats),
		preload: meanOfRepeats(current.preload, lengthRead, repeats)
	};
	const bare = heightTaken?.value ?? null;
	const stack = { locator: build.locator, lockOffset, retainerLanding };
	const unshimmed = bare === null ? null : installedHeight(bare, { ...stack, shims: mm(0) });
	const shims = build.shims.reduce((sum, shim) => sum + shim, 0);
	const sources = {
		height: sourceOf('height', current['installed-height']),
		gap: sourceOf('seal-gap', [...current['seal-gap'], ...current['seal-gap-at-lift']])
	};
	// Written out: objects that are spread together are made slowly, and a sheet has many.
	return {
		job,
		station,
		parts,
		current,
		seen,
		checks,
		kind,
		shared,
		medians,
		isAsked,
		build,
		pumpUp,
		read,
		sources,
		bare,
		unshimmed,
		height: unshimmed === null ? null : mm(unshimmed - shims),
		netLift: kind.lift && mm(kind.lift.gross - lashAtLift(question, read.lash, kind.lift)),
		shim:
			unshimmed === null || isAsked
				? null
				: shimAdvice(shared, kind, unshimmed, build.shims, shimRoomOf(parts))
	};
}

/** Readings that were taken here are measured; what somebody said by phone is the customer's word. */
const sourceOf = (of: Behind, readings: readonly Reading[]): Source | From =>
	readings.some(({ from }) => from === 'phone') ? { of, source: 'customer' } : 'measured';

/** What lash takes off the lift: the one measured, in the state it is set in, else the setting. */
function lashAtLift(
	{ job, parts }: StationQuestion,
	lash: RepeatMean | null,
	lift: Lift
): Millimetres {
	const asSet = mm(lift.gross - lift.net);
	if (job.setup.lifters === 'hydraulic' || !lash) return asSet;
	const isComparable = (lash.newest.engine ?? 'cold') === (parts.lash?.engine ?? 'cold');
	return isComparable ? lash.value : asSet;
}
