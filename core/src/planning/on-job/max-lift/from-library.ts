/** Parts of the shop's library tried on a job one at a time, for the lift they would leave (docs/trade/sheet.md). */
import { evaluate, type Sheet } from '../../../sheet/evaluation/index.ts';
import { withPartsAt, type Job, type PartAt } from '../../../job/document/index.ts';
import { addNoNewStop, companionsOf, type FitContext } from '../../../sheet/fit/index.ts';
import { TYPE_OF, type LibraryPart } from '../../../parts/part/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import { mm, type Newtons } from '../../../foundation/units/index.ts';
import { limitsOf, type LimitAt } from './limits.ts';
import type { ChangeStep } from './step.ts';
import { tallied, type Range } from './tally.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'lift.other-part': { readonly part: Place; readonly name: string };
		'lift.with': { readonly names: readonly string[] };
		'lift.too-few': { readonly stock: number; readonly required: number };
		'lift.loads-unknown': null;
		'lift.loads-stay': null;
		'lift.seat-loads': { readonly min: Newtons; readonly max: Newtons };
	}
}

/** Parts that decide how much lift there is. */
const PLACES = ['seal', 'retainer', 'locks', 'spring'] as const;
type Place = (typeof PLACES)[number];
/** So many of each type are told. */
const MAX_PER_TYPE = 2;
/** Loads that differ by less, in newtons, are the same. */
const SAME_LOAD = 2;

export interface LibraryAlternative {
	readonly change: Message;
	readonly tradeOff: Message;
	readonly step: ChangeStep;
	/** With the part at every station of the kind, the nearest first. */
	readonly limits: readonly LimitAt[];
}

/**
 * Library parts in place of a kind's own, each with what must come with it so that it trips
 * no rule of fit anew; the best of each type. One that leaves a limit unknown that was known
 * buys nothing here.
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
			if (part.type !== TYPE_OF[place] || part.retired || part.part.id === own.id) return [];
			const parts = outfitOf(contexts, { place, part: part.part }, library);
			if (!parts) return [];
			const changed = withPartsAt(job, kind, parts);
			const then = evaluate(changed);
			const limits = limitsOf(changed, then, kind);
			if (known.some(({ limit }) => !limits.some((one) => one.limit === limit))) return [];
			const change = changeOf(place, parts);
			const tradeOff = tradeOffOf(sheet, then, kind, part);
			return [
				{ change, tradeOff, limits, step: { type: 'parts', parts, keepsHeight: false } as const }
			];
		});
		return tried
			.toSorted((a, b) => (b.limits[0]?.lift ?? 0) - (a.limits[0]?.lift ?? 0))
			.slice(0, MAX_PER_TYPE);
	});
}

/** A part with what must come with it at every station of its kind; null where nothing makes it fit. */
export function outfitOf(
	contexts: readonly FitContext[],
	part: PartAt,
	library: readonly LibraryPart[]
): readonly PartAt[] | null {
	const [whole] = contexts;
	if (!whole) return null;
	const companions = companionsOf(whole, [part], library);
	if (!companions) return null;
	const outfit = [part, ...companions];
	return contexts.every((context) => addNoNewStop(context, outfit)) ? outfit : null;
}

function changeOf(place: Place, [part, ...companions]: readonly PartAt[]): Message {
	const change = message('lift.other-part', { part: place, name: part!.part.name });
	if (companions.length === 0) return change;
	const names = companions.map(({ part: { name } }) => name);
	return message('list', { of: [change, message('lift.with', { names })] });
}

const ofKind = (sheet: Sheet, kind: Kind) =>
	sheet.stations.filter((station) => station.kind === kind);

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
			loadsOf(tallied(before, kind).seat, tallied(after, kind).seat),
			...(deeper > 0 ? [message('lift.tip-falls', { by: mm(deeper) })] : []),
			...(isShort ? [message('lift.too-few', { stock: part.stock!, required: now.length })] : [])
		]
	});
}

function loadsOf(was: Range<Newtons> | null, is: Range<Newtons> | null): Message {
	if (!is) return message('lift.loads-unknown');
	const isSame =
		was && Math.abs(was.min - is.min) < SAME_LOAD && Math.abs(was.max - is.max) < SAME_LOAD;
	return isSame
		? message('lift.loads-stay')
		: message('lift.seat-loads', { min: is.min, max: is.max });
}
