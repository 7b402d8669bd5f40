/** Parts of the shop's library tried on a job one at a time, for the lift they would leave (handbook §3). */
import { evaluate, type Sheet } from '../evaluation/index.ts';
import type { Job, StationEntry } from '../document/index.ts';
import { addsNoNewStop } from '../fit/index.ts';
import { SORT_OF, type LibraryPart } from '../part/index.ts';
import type { Kind } from '../station/index.ts';
import { message, type Message } from '../message/index.ts';
import { mm, type Newtons } from '../units/index.ts';
import { limitsOf, type LimitAt } from './limits.ts';

declare module '../message/message.ts' {
	interface Messages {
		'lift.other-part': { readonly part: Place; readonly name: string };
		'lift.too-few': { readonly stock: number; readonly required: number };
		'lift.loads-unknown': null;
		'lift.loads-stay': null;
		'lift.seat-loads': { readonly min: Newtons; readonly max: Newtons };
	}
}

/** Parts that decide how much lift there is. */
const PLACES = ['seal', 'retainer', 'locks', 'spring'] as const;
type Place = (typeof PLACES)[number];
/** So many of each sort are told. */
const MAX_PER_TYPE = 2;
/** Loads that differ by less, in newtons, are the same. */
const SAME_LOAD = 2;

export interface LibraryAlternative {
	readonly change: Message;
	readonly tradeOff: Message;
	/** With the part at every station of the kind, the nearest first. */
	readonly limits: readonly LimitAt[];
}

/**
 * Library parts in place of a kind's own that trip no rule of fit anew, the best
 * of each sort. One that leaves a limit unknown that was known buys nothing here.
 */
export function libraryAlternatives(
	job: Job,
	sheet: Sheet,
	kind: Kind,
	library: readonly LibraryPart[],
	known: readonly LimitAt[]
): LibraryAlternative[] {
	const contexts = sheet.fitContexts
		.map(({ context }) => context)
		.filter((context) => context.kind === kind);
	return PLACES.flatMap((place) => {
		const own = job.setup.kinds[kind][place];
		if (!own) return [];
		const tried = library.flatMap((part) => {
			if (part.sort !== SORT_OF[place] || part.retired || part.part.id === own.id) return [];
			if (!contexts.every((context) => addsNoNewStop(context, place, part.part))) return [];
			const changed = withEverywhere(job, kind, place, part.part);
			const then = evaluate(changed);
			const limits = limitsOf(changed, ofKind(then, kind));
			if (known.some(({ limit }) => !limits.some((one) => one.limit === limit))) return [];
			const change = message('lift.other-part', { part: place, name: part.part.name });
			const tradeOff = tradeOffOf(sheet, then, kind, part);
			return [{ change, tradeOff, limits }];
		});
		return tried
			.toSorted((a, b) => (b.limits[0]?.lift ?? 0) - (a.limits[0]?.lift ?? 0))
			.slice(0, MAX_PER_TYPE);
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
function tradeOffOf(before: Sheet, after: Sheet, kind: Kind, part: LibraryPart): Message {
	const [old, now] = [ofKind(before, kind), ofKind(after, kind)];
	const deeper = Math.max(
		0,
		...now.map(({ stack }, i) => stack.lockOffset - old[i]!.stack.lockOffset)
	);
	const isShort = part.stock !== null && part.stock < now.length;
	return message('list', {
		of: [
			loadsOf(before.seatLoads[kind], after.seatLoads[kind]),
			...(deeper > 0 ? [message('lift.tip-falls', { by: mm(deeper) })] : []),
			...(isShort ? [message('lift.too-few', { stock: part.stock!, required: now.length })] : [])
		]
	});
}

type Range = Sheet['seatLoads'][Kind];
function loadsOf(was: Range, is: Range): Message {
	if (!is) return message('lift.loads-unknown');
	const isSame =
		was && Math.abs(was.least - is.least) < SAME_LOAD && Math.abs(was.most - is.most) < SAME_LOAD;
	return isSame
		? message('lift.loads-stay')
		: message('lift.seat-loads', { min: is.least, max: is.most });
}
