/** Parts of the shop's library tried on a job one at a time, for the lift they would leave (handbook §3). */
import { evaluate } from '../evaluation/evaluate.ts';
import type { Job, StationEntry } from '../document/schema.ts';
import type { Sheet } from '../evaluation/sheet.ts';
import { fitsAsWell } from '../fit/remedy.ts';
import type { LibraryPart } from '../part/schema.ts';
import { SORT_OF } from '../part/words.ts';
import type { Kind } from '../station/layout.ts';
import { joined, ofLength, ofLoad, say, type Phrase } from '../units/phrase.ts';
import { mm } from '../units/quantity.ts';
import { limitsOf, type LimitAt } from './limits.ts';

/** Parts that decide how much lift there is. */
const PLACES = ['seal', 'retainer', 'locks', 'spring'] as const;
type Place = (typeof PLACES)[number];
/** So many of each sort are told. */
const MOST_OF_A_SORT = 2;
/** Loads that differ by less, in newtons, are the same. */
const SAME_LOAD = 2;

export interface PartTried {
	readonly change: Phrase;
	readonly costs: Phrase;
	/** With the part at every station of the kind, the nearest first. */
	readonly limits: readonly LimitAt[];
}

/**
 * Library parts in place of a kind's own that trip no rule of fit anew, the best
 * of each sort. One that leaves a limit unknown that was known buys nothing here.
 */
export function partsTried(
	job: Job,
	sheet: Sheet,
	kind: Kind,
	library: readonly LibraryPart[],
	known: readonly LimitAt[]
): PartTried[] {
	const contexts = sheet.fitContexts
		.map(({ context }) => context)
		.filter((context) => context.kind === kind);
	return PLACES.flatMap((place) => {
		const own = job.setup.kinds[kind][place];
		if (!own) return [];
		const tried = library.flatMap((part) => {
			if (part.sort !== SORT_OF[place] || part.retired || part.part.id === own.id) return [];
			if (!contexts.every((context) => fitsAsWell(context, place, part.part))) return [];
			const changed = withEverywhere(job, kind, place, part.part);
			const then = evaluate(changed);
			const limits = limitsOf(changed, ofKind(then, kind));
			if (known.some(({ limit }) => !limits.some((one) => one.limit === limit))) return [];
			const change: Phrase = [`Other ${place}: ${part.part.name}`];
			const costs = costsOf(sheet, then, kind, part);
			return [{ change, costs, limits }];
		});
		return tried
			.toSorted((a, b) => (b.limits[0]?.lift ?? 0) - (a.limits[0]?.lift ?? 0))
			.slice(0, MOST_OF_A_SORT);
	});
}

const ofKind = (sheet: Sheet, kind: Kind) =>
	sheet.stations.filter((station) => station.kind === kind);

/** The job with a part at every station of a kind, whatever stood at each. */
function withEverywhere(job: Job, kind: Kind, place: Place, part: LibraryPart['part']): Job {
	const { setup } = job;
	const without = (entry: StationEntry): StationEntry => {
		const { [place]: _, ...parts } = entry.parts ?? {};
		return {
			...entry,
			parts: Object.keys(parts).length > 0 ? parts : undefined,
			...(place === 'spring' && { spring: undefined }),
			...(place === 'locks' && { lockOffset: undefined })
		};
	};
	return {
		...job,
		setup: {
			...setup,
			kinds: { ...setup.kinds, [kind]: { ...setup.kinds[kind], [place]: part } }
		},
		stations: job.stations.map((entry) => (entry.kind === kind ? without(entry) : entry))
	};
}

/** What changes besides the lift: loads, tips, and whether the shelf has enough. */
function costsOf(before: Sheet, after: Sheet, kind: Kind, part: LibraryPart): Phrase {
	const [old, now] = [ofKind(before, kind), ofKind(after, kind)];
	const deeper = Math.max(
		0,
		...now.map(({ stack }, i) => stack.lockOffset - old[i]!.stack.lockOffset)
	);
	const isShort = part.stock !== null && part.stock < now.length;
	return joined(
		[
			loadsOf(before.seatLoads[kind], after.seatLoads[kind]),
			...(deeper > 0 ? [say`tip and rocker clearance fall by ${ofLength(mm(deeper))}`] : []),
			...(isShort ? [say`${part.stock!} of ${now.length} on the shelf`] : [])
		],
		'; '
	);
}

type Range = Sheet['seatLoads'][Kind];
function loadsOf(was: Range, is: Range): Phrase {
	if (!is) return ['loads not known'];
	const isSame =
		was && Math.abs(was.least - is.least) < SAME_LOAD && Math.abs(was.most - is.most) < SAME_LOAD;
	return isSame ? ['loads stay'] : say`seat loads ${ofLoad(is.least)} to ${ofLoad(is.most)}`;
}
