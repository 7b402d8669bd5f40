/** Which parts stand at a station: its own, else its cylinder's lift and lash, else its kind's. */
import { STATION_PARTS } from '../../parts/part/index.ts';
import type { Job, KindSetup, Setup, StationEntry, TaggedSpring } from './schema.ts';

/**
 * The parts of every station of a job, by label. Stations that have nothing of
 * their own share their kind's very object, so that what is worked out for it
 * is worked out once.
 */
export function partsByStation(job: Job): ReadonlyMap<string, KindSetup> {
	return new Map(job.stations.map((station) => [station.label, partsOf(job.setup, station)]));
}

/** The card of the spring at every station of a job, by label. */
export const springCards = ({ setup, stations }: Pick<Job, 'setup' | 'stations'>) =>
	new Map(stations.map((entry) => [entry.label, partsOf(setup, entry).spring?.id]));

/** The parts of one station. */
export function partsOf(setup: Setup, station: StationEntry): KindSetup {
	const kind = setup.kinds[station.kind];
	const override = setup.overrides?.find(
		(entry) => entry.cylinder === station.cylinder && entry.kind === station.kind
	);
	const isAsItsKind = station.spring === undefined && !station.newSpring;
	if (!override && !station.parts && isAsItsKind) return kind;
	const own = {
		...kind,
		...(override?.lift && { lift: override.lift }),
		...(override?.lash && { lash: override.lash }),
		...station.parts
	};
	const spring = springAt(setup, station);
	if (!own.spring) return own;
	// The tests of its kind's set are of springs that ran.
	if (station.newSpring) return { ...own, spring: { ...own.spring, tested: undefined } };
	if (!spring) return own;
	const { points, bind, bindUncertainty, loadDeviation, set, tag, earlier } = spring;
	const tested = {
		points,
		...(bind && { bind }),
		...(bindUncertainty && { bindUncertainty }),
		...(loadDeviation !== undefined && { loadDeviation }),
		set: `${set}, ${tag}`,
		...(earlier && { earlier })
	};
	return { ...own, spring: { ...own.spring, tested } };
}

/** The very spring that a station's tag names, of the card that belongs there; null where there is none. */
export function springAt(
	setup: Setup,
	{ kind, parts, spring: tag }: StationEntry
): TaggedSpring | null {
	if (tag === undefined) return null;
	const card = parts?.spring ?? setup.kinds[kind].spring;
	return setup.springs?.find((one) => one.tag === tag && one.card === card?.id) ?? null;
}

/**
 * Whether a station's tag, once the set-up is changed, names another spring than
 * before or none: another set has the same tags. The same set tested anew is the same springs.
 */
export function springReferenceLost(before: Setup, after: Setup, station: StationEntry): boolean {
	const [old, now] = [springAt(before, station), springAt(after, station)];
	return old !== null && (now?.set !== old.set || now.card !== old.card);
}

/** A part of the library that a job is built of, and at how many of its stations. */
export interface PartWanted {
	readonly id: string;
	readonly name: string;
	readonly wanted: number;
}

/** What a job wants of the library's parts: one at every station that has it, its own or its kind's. */
export function partsWanted(job: Pick<Job, 'setup' | 'stations'>): PartWanted[] {
	const wanted = new Map<string, PartWanted>();
	for (const entry of job.stations) {
		const parts = partsOf(job.setup, entry);
		for (const place of STATION_PARTS) {
			const { id, name } = parts[place] ?? {};
			if (!id || !name) continue;
			wanted.set(id, { id, name, wanted: (wanted.get(id)?.wanted ?? 0) + 1 });
		}
	}
	return [...wanted.values()];
}
