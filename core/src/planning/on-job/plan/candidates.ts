/** A station with each spring that may go there. */
import {
	partsOf,
	type Job,
	type StationEntry,
	type TaggedSpring
} from '../../../job/document/index.ts';
import { kindSheet, type KindSheet } from '../../../sheet/figures/index.ts';
import type { ToBuild } from './builds.ts';
import type { PlanQuestion } from './types.ts';

/** A station with a spring that may go there. */
export interface Candidate {
	/** Which of those to be placed; null for a new one, or what stands there. */
	readonly spring: number | null;
	/** The card of a new one. */
	readonly card: string | null;
	/** What it counts among the parts that a build takes. */
	readonly price: number;
	readonly station: ToBuild;
}

export interface Candidates {
	/** Every spring that may go to a station; none where what stands there is not used again and nothing may come. */
	readonly of: (entry: StationEntry) => readonly Candidate[];
	/** The station with what stands there. */
	readonly asItStands: (entry: StationEntry) => Candidate;
}

/**
 * What may go to each station of a job.
 *
 * @param springs those that may change places
 * @param rest what a station's build has beside its own parts
 */
export function candidatesOf(
	{ setup }: Pick<Job, 'setup'>,
	springs: readonly TaggedSpring[],
	{ replaced = [], newSprings = [] }: Pick<PlanQuestion, 'replaced' | 'newSprings'>,
	rest: (entry: StationEntry) => Omit<ToBuild, 'entry' | 'parts' | 'kind'>
): Candidates {
	const kinds = new Map<string, KindSheet>();
	const withSpring = (entry: StationEntry, spring: number | null, isNew: boolean): Candidate => {
		const tag = isNew ? undefined : spring === null ? entry.spring : springs[spring]!.tag;
		const newSpring = isNew || (tag === undefined && entry.newSpring) || undefined;
		const parts = partsOf(setup, { ...entry, spring: tag, newSpring });
		const key = `${entry.kind} ${entry.parts ? entry.label : ''} ${entry.cylinder} ${tag ?? ''} ${newSpring ?? ''}`;
		const kind = kinds.get(key) ?? kindSheet(entry.kind, parts, setup, null);
		kinds.set(key, kind);
		const card = isNew ? parts.spring!.id : null;
		// One that runs again costs nothing; a new one goes first where the old one is out.
		const price = !isNew ? 0 : replaced.includes(entry.label) ? 1 : 2;
		return { spring, card, price, station: { entry, parts, kind, ...rest(entry) } };
	};
	const asItStands = (entry: StationEntry) => withSpring(entry, null, false);
	return {
		asItStands,
		of: (entry) => {
			const card = partsOf(setup, entry).spring?.id;
			const own = springs.flatMap((one, i) => (one.card === card ? [i] : []));
			if (own.length === 0 && !replaced.includes(entry.label)) return [asItStands(entry)];
			const placed = own.map((spring) => withSpring(entry, spring, false));
			const mayBeNew = newSprings.some((one) => one.card === card);
			return mayBeNew ? [...placed, withSpring(entry, null, true)] : placed;
		}
	};
}
