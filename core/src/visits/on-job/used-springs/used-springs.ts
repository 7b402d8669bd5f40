/** The decision on each spring of a head that came back: reuse, shim or replace, and what decided it. Source: docs/trade/visits.md. */
import { springCards, testerRatio, type Job } from '../../../job/document/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import { jobLimits, type StationSheet } from '../../../sheet/figures/index.ts';
import { loadsInCommon, ownChange, type StationComparison } from '../changes/index.ts';
import { damagedSprings } from '../stops/index.ts';
import type { Millimetres } from '../../../foundation/units/index.ts';
import type { Verdict } from '../../../foundation/verdict/index.ts';
import {
	fateOf,
	type Fate,
	type FateReason,
	type FigureRead,
	type Moved
} from '../../comparison/index.ts';

export interface SpringFate {
	readonly station: string;
	/** Tag of the spring that ran there; null where it has none. */
	readonly spring: string | null;
	readonly fate: Fate;
	readonly reason: FateReason;
	/** Part of its load lost at the same height; null where it was not tested again. */
	readonly sag: FigureRead | null;
	/** Shims to put in, thickest first; null where the present ones stay. */
	readonly shims: readonly Millimetres[] | null;
	/** After those shims, in mm; null where not known. */
	readonly bindMargin: FigureRead | null;
	readonly sealClearance: FigureRead | null;
	/** Part of its life that is left; null where the shop sets no limit. */
	readonly serviceLeft: number | null;
}

/** What a station has once the shims that are suggested are in; added is null where nothing is aimed for. A shim moves the bind margin, and not the seal. */
function reshimmed({ shim, stack, figures, shared }: StationSheet, heightStop: Millimetres) {
	const { height, bindMargin, sealClearance } = figures;
	const answer = shim?.answer.type === 'fit' ? shim.answer : null;
	const sum = (shims: readonly number[]) => shims.reduce((all, one) => all + one, 0);
	const added = answer ? sum(answer.shims) - sum(stack.shims) : 0;
	const aim = shared.target.height;
	const isOut = height.state === 'stop' || height.state === 'inconclusive';
	const left = ({ figure, uncertainty }: Verdict, less: number): FigureRead | null =>
		figure === null ? null : { value: figure - less, uncertainty };
	return {
		shims: answer?.shims ?? null,
		added: shim ? added : null,
		bindMargin: left(bindMargin, added),
		sealClearance: left(sealClearance, 0),
		/** Whether the height is at its stop or past it, and stays there with any shims in stock. */
		isHeightOut: isOut && (!answer || aim === null || Math.abs(answer.height - aim) >= heightStop),
		/** What the spring has there to be pressed into at full lift. */
		pressedTo:
			height.figure === null || !shared.lift ? null : height.figure - added - shared.lift.worst
	};
}
type Reshimmed = ReturnType<typeof reshimmed>;

/** Whether a spring that binds at its own station would hold its floor at another of its card. */
function fitsAtAnother(own: Reshimmed, others: readonly Reshimmed[], floor: number): boolean {
	const { pressedTo, bindMargin } = own;
	if (pressedTo === null || bindMargin === null) return false;
	return others.some((other) => {
		if (other === own || other.pressedTo === null) return false;
		const margin = bindMargin.value + other.pressedTo - pressedTo;
		return margin - bindMargin.uncertainty >= floor;
	});
}

/**
 * The fate of every spring that was compared with what it was.
 *
 * @param lifeUsed by station, the part of its life that a spring has run
 */
export function fatesOf(
	job: Job,
	sheet: Sheet,
	beside: readonly StationComparison[],
	lifeUsed: ReadonlyMap<string, number>
): SpringFate[] {
	const { limits } = jobLimits(job);
	const rooms = new Map(
		sheet.stations.map((one) => [one.label, reshimmed(one, limits.heightStop)])
	);
	const reference = testerRatio(job);
	const loads = loadsInCommon(beside, reference);
	const damaged = damagedSprings(job);
	const cards = springCards(job);
	const alike = (station: string) =>
		[...rooms].flatMap(([other, room]) => (cards.get(other) === cards.get(station) ? [room] : []));
	return beside.map(({ station, spring, moved: { load } }) => {
		const room = rooms.get(station)!;
		const { added, shims, bindMargin, sealClearance } = room;
		const used = lifeUsed.get(station);
		const serviceLeft = used === undefined ? null : 1 - used;
		const partOf = ({ by, uncertainty }: Moved): FigureRead => ({
			value: -by / load!.then.value,
			uncertainty: uncertainty / load!.then.value
		});
		const sag = load ? partOf(load.change) : null;
		const isTesterUnchecked = load?.isAnotherGauge && reference === null;
		const { fate, reason } = fateOf({
			isDamaged: damaged.has(station),
			sag,
			ownSag: isTesterUnchecked ? partOf(ownChange('load', load, [], loads)) : null,
			sagLimit: limits.sag.stop,
			sagWatch: limits.sag.watch,
			isHeightOut: room.isHeightOut,
			// A stack that takes shims out adds none.
			shim: added === null ? null : Math.max(0, added),
			bindMargin,
			bindFloor: limits.bindFloor,
			sealClearance,
			sealFloor: limits.sealFloor,
			serviceLeft,
			isReuseAllowed: job.setup.policies?.usedSprings === 'retested',
			fitsElsewhere: fitsAtAnother(room, alike(station), limits.bindFloor)
		});
		return { station, spring, fate, reason, sag, shims, bindMargin, sealClearance, serviceLeft };
	});
}
