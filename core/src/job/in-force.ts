/** Which of a station's readings counts. */
import { QUANTITIES, type Quantity } from './quantities.ts';
import { makesStale, type Work } from '../work/work.ts';
import type { HeadWork, Job, Reading, StationEntry } from './schema.ts';

/** A station's readings that are neither struck through nor stale, newest first. */
export type Standing = Readonly<Record<Quantity, readonly Reading[]>> & {
	/** Quantities that were read, and then something was done to the head. */
	readonly stale: ReadonlyMap<Quantity, Work>;
};

/**
 * The readings that stand, by station and quantity, newest first; the first
 * is in force. Two taken in the same instant go by id, which grows with time.
 */
export function standingReadings(job: Job): ReadonlyMap<string, Standing> {
	const struck = new Set(job.voids.map((entry) => entry.reading));
	const byStation = new Map(job.stations.map((station) => [station.label, blank()]));
	for (const reading of job.readings) {
		if (!struck.has(reading.id)) byStation.get(reading.station)?.[reading.quantity].push(reading);
	}
	return new Map(
		job.stations.map((station) => [
			station.label,
			withoutStale(byStation.get(station.label)!, worksOn(job, station))
		])
	);
}

const blank = () =>
	Object.fromEntries(QUANTITIES.map((quantity) => [quantity, []])) as unknown as Record<
		Quantity,
		Reading[]
	>;

const worksOn = (job: Job, station: StationEntry) =>
	job.headWork.filter((work) => work.head === undefined || work.head === station.head);

function withoutStale(all: Record<Quantity, Reading[]>, works: readonly HeadWork[]): Standing {
	const stale = new Map<Quantity, Work>();
	for (const quantity of QUANTITIES) {
		const readings = all[quantity].sort(newestFirst);
		const work = works
			.filter((entry) => makesStale(entry.work, quantity))
			.reduce<HeadWork | null>((a, b) => (a && Date.parse(a.at) >= Date.parse(b.at) ? a : b), null);
		if (!work) continue;
		const since = Date.parse(work.at);
		all[quantity] = readings.filter((reading) => Date.parse(reading.at) > since);
		if (readings.length > 0 && all[quantity].length === 0) stale.set(quantity, work.work);
	}
	return { ...all, stale };
}

function newestFirst(a: Reading, b: Reading): number {
	const [earlier, later] = [Date.parse(a.at), Date.parse(b.at)];
	return later - earlier || (a.id < b.id ? 1 : -1);
}
