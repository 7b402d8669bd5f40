/** Which of a station's readings and checks count. */
import { QUANTITIES, type Quantity } from './quantities.ts';
import { makesStale, type Stale, type Work } from './head-work.ts';
import { isOrderOpen, orderAnswers, orderSubject, readingTime } from './reading-time.ts';
import type { HeadWork, Job, Reading, StationEntry } from './schema.ts';

/** A reading of which only a person can say whether it came before a work on the head or after. */
export interface OpenOrder {
	readonly reading: Reading;
	readonly work: HeadWork;
}

/** A station's readings that are neither struck through nor stale, newest first. */
export type CurrentReadings = Readonly<Record<Quantity, readonly Reading[]>> & {
	/** Quantities that were read, and then something was done to the head. */
	readonly stale: ReadonlyMap<Quantity, Work>;
	/** Readings to ask about; they do not count until somebody says. */
	readonly open: readonly OpenOrder[];
	/** Everything done to this station, oldest first. */
	readonly works: readonly HeadWork[];
};

/**
 * The readings that stand, by station and quantity, newest first; the first
 * is in force. Two taken in the same instant go by id, which grows with time.
 */
export function currentReadings(job: Job): ReadonlyMap<string, CurrentReadings> {
	const struck = new Set(job.voids.map((entry) => entry.reading));
	const byStation = new Map(job.stations.map((station) => [station.label, blank()]));
	for (const reading of job.readings) {
		if (struck.has(reading.id)) continue;
		const all = byStation.get(reading.station);
		if (!all) continue;
		if (all[reading.quantity] === NO_READINGS) all[reading.quantity] = [reading];
		else all[reading.quantity].push(reading);
	}
	const works = worksDone(job.headWork);
	const answers = works.length === 0 ? new Map<string, boolean>() : orderAnswers(job.decisions);
	const ofAll = lastWorks(works);
	const isForAll = works.every(({ head, kind, stations }) => !head && !kind && !stations);
	return new Map(
		job.stations.map((station) => {
			const own = isForAll ? ofAll : lastWorks(works.filter((work) => concerns(work, station)));
			return [station.label, withoutStale(byStation.get(station.label)!, own, answers)];
		})
	);
}

/** Works on a station, oldest first, and the last of them that makes each quantity stale. */
interface LastWorks {
	readonly works: readonly HeadWork[];
	readonly of: ReadonlyMap<Quantity, HeadWork>;
}

const lastWorks = (works: readonly HeadWork[]): LastWorks => ({
	works,
	of: new Map(
		QUANTITIES.flatMap((quantity) => {
			const last = works.findLast(({ work }) => makesStale(work, quantity));
			return last ? [[quantity, last] as const] : [];
		})
	)
});

/** Shared by all that has none; never added to. */
const NO_READINGS: Reading[] = [];
const NONE_OF_ANY = Object.fromEntries(
	QUANTITIES.map((quantity) => [quantity, NO_READINGS])
) as Record<Quantity, Reading[]>;
const blank = (): Record<Quantity, Reading[]> => ({ ...NONE_OF_ANY });

/** What was done to a head and not taken back, oldest first. */
export function worksDone(headWork: readonly HeadWork[]): readonly HeadWork[] {
	if (headWork.length === 0) return headWork;
	const withdrawn = new Set(headWork.flatMap(({ withdraws }) => withdraws ?? []));
	return headWork
		.filter(({ id, withdraws }) => withdraws === undefined && !withdrawn.has(id))
		.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
}

/** Whether a work was done to a station: by its head, its kind, or itself named. */
export const concerns = (
	{ head, kind, stations }: HeadWork,
	station: Pick<StationEntry, 'label' | 'head' | 'kind'>
): boolean =>
	(head === undefined || head === station.head) &&
	(kind === undefined || kind === station.kind) &&
	(stations === undefined || stations.includes(station.label));

/** The newest of these works that makes something stale which was done at a time; null where none does. */
export const madeStaleBy = (
	works: readonly HeadWork[],
	what: Stale,
	time: number
): HeadWork | null =>
	works.findLast(({ work, at }) => makesStale(work, what) && Date.parse(at) >= time) ?? null;

function withoutStale(
	all: Record<Quantity, Reading[]>,
	{ works, of }: LastWorks,
	answers: ReadonlyMap<string, boolean>
): CurrentReadings {
	const stale = new Map<Quantity, Work>();
	const open: OpenOrder[] = [];
	for (const quantity of QUANTITIES) {
		const readings = all[quantity];
		if (readings.length === 0) continue;
		if (readings.length > 1) readings.sort(newestFirst);
		const newest = of.get(quantity);
		if (!newest) continue;
		const done = Date.parse(newest.at);
		all[quantity] = readings.filter((reading) => {
			const answer =
				answers.size === 0 ? undefined : answers.get(orderSubject(reading.id, newest.id));
			if (answer === undefined && isOrderOpen(reading, done)) {
				open.push({ reading, work: newest });
				return false;
			}
			return answer ?? readingTime(reading) > done;
		});
		if (all[quantity].length === 0 && !open.some(({ reading }) => reading.quantity === quantity))
			stale.set(quantity, newest.work);
	}
	return { ...all, stale, open, works };
}

function newestFirst(a: Reading, b: Reading): number {
	return readingTime(b) - readingTime(a) || (a.id < b.id ? 1 : -1);
}
