/** What becomes of each spring of a head that came back: reused, reshimmed or replaced, and what decided it. Source: handbook §10. */
import type { Job } from '../document/index.ts';
import type { Sheet } from '../evaluation/index.ts';
import { UNSAID_LIMITS, type StationSheet } from '../figures/index.ts';
import type { StationBeside } from '../then-and-now/index.ts';
import { lengthOf, mm, type Millimetres } from '../units/index.ts';
import { fateOf, type Fate, type FateReason } from '../visit/index.ts';

export interface SpringFate {
	readonly station: string;
	readonly fate: Fate;
	readonly reason: FateReason;
	/** Part of its load lost at the same height; null where it was not tested again. */
	readonly sag: number | null;
	/** Shims to put in, thickest first; null where the present ones stay. */
	readonly shims: readonly Millimetres[] | null;
	/** After those shims, in mm; null where not known. */
	readonly bindMargin: Millimetres | null;
	readonly sealClearance: Millimetres | null;
	/** Part of its life that is left; null where the shop sets no limit. */
	readonly serviceLeft: number | null;
}

/** What a station has once the shims that are suggested are in. */
function reshimmed({ shim, stack, figures }: StationSheet) {
	const [bind, seal] = [figures.bindMargin.figure, figures.sealClearance.figure];
	if (!shim) return { shims: null, added: null, bindMargin: bind, sealClearance: seal };
	const { answer } = shim;
	if (answer.sort !== 'fit')
		return { shims: null, added: 0, bindMargin: bind, sealClearance: seal };
	const sum = (shims: readonly number[]) => shims.reduce((all, one) => all + one, 0);
	const added = sum(answer.shims) - sum(stack.shims);
	const less = (room: number | null) => (room === null ? null : mm(room - added));
	return {
		shims: answer.shims,
		added,
		bindMargin: less(bind),
		sealClearance: less(seal)
	};
}

/**
 * The fate of every spring that was compared with what it was.
 *
 * @param lifeUsed by station, the part of its life that a spring has run
 */
export function fatesOf(
	job: Job,
	sheet: Sheet,
	beside: readonly StationBeside[],
	lifeUsed: ReadonlyMap<string, number>
): SpringFate[] {
	const { limits, policies } = job.setup;
	const stations = new Map(sheet.stations.map((one) => [one.label, one]));
	return beside.map(({ station, moved: { load } }) => {
		const { added, shims, ...room } = reshimmed(stations.get(station)!);
		const used = lifeUsed.get(station);
		const serviceLeft = used === undefined ? null : 1 - used;
		const sag = load ? -load.change.by / load.then.value : null;
		const { fate, reason } = fateOf({
			sag,
			sagLimit: limits.sagStop ?? UNSAID_LIMITS.sagStop,
			// A stack that takes shims out adds none.
			shim: added === null ? null : Math.max(0, added),
			bindMargin: room.bindMargin,
			bindFloor: lengthOf(limits.bindFloor),
			sealClearance: room.sealClearance,
			sealFloor: lengthOf(limits.sealFloor),
			serviceLeft,
			isReuseAllowed: policies?.usedSprings === 'retested',
			fitsElsewhere: false
		});
		return { station, fate, reason, sag, shims, ...room, serviceLeft };
	});
}
