/** What becomes of each spring of a head that came back: reused, reshimmed or replaced, and what decided it. Source: handbook §10. */
import type { Job } from '../document/index.ts';
import type { Sheet } from '../evaluation/index.ts';
import { jobLimits, type StationSheet } from '../figures/index.ts';
import type { StationBeside } from '../then-and-now/index.ts';
import type { Millimetres } from '../units/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { fateOf, type Fate, type FateReason, type FigureRead } from '../visit/index.ts';

export interface SpringFate {
	readonly station: string;
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

/** What a station has once the shims that are suggested are in; added is null where nothing is aimed for. */
function reshimmed({ shim, stack, figures: { bindMargin, sealClearance } }: StationSheet) {
	const answer = shim?.answer.sort === 'fit' ? shim.answer : null;
	const sum = (shims: readonly number[]) => shims.reduce((all, one) => all + one, 0);
	const added = answer ? sum(answer.shims) - sum(stack.shims) : 0;
	const left = ({ figure, uncertainty }: Verdict): FigureRead | null =>
		figure === null ? null : { value: figure - added, uncertainty };
	return {
		shims: answer?.shims ?? null,
		added: shim ? added : null,
		bindMargin: left(bindMargin),
		sealClearance: left(sealClearance)
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
	const { limits } = jobLimits(job);
	const stations = new Map(sheet.stations.map((one) => [one.label, one]));
	return beside.map(({ station, moved: { load } }) => {
		const { added, shims, ...room } = reshimmed(stations.get(station)!);
		const used = lifeUsed.get(station);
		const serviceLeft = used === undefined ? null : 1 - used;
		const sag = load
			? {
					value: -load.change.by / load.then.value,
					uncertainty: load.change.uncertainty / load.then.value
				}
			: null;
		const { fate, reason } = fateOf({
			sag,
			sagLimit: limits.sag.stop,
			// A stack that takes shims out adds none.
			shim: added === null ? null : Math.max(0, added),
			bindMargin: room.bindMargin,
			bindFloor: limits.bindFloor,
			sealClearance: room.sealClearance,
			sealFloor: limits.sealFloor,
			serviceLeft,
			isReuseAllowed: job.setup.policies?.usedSprings === 'retested',
			fitsElsewhere: false
		});
		return { station, fate, reason, sag, shims, ...room, serviceLeft };
	});
}
