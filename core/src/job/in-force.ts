/** Which of a station's readings and checks count. */
import { QUANTITIES, type Quantity } from './quantities.ts';
import { makesStale, type Stale, type Work } from '../work/work.ts';
import { isOrderOpen, orderAnswers, orderSubject, readingTime } from './reading-time.ts';
import type { HeadWork, Job, Reading, StationEntry } from './schema.ts';

/** A reading of which only a person can say whether it came before a work on the head or after. */
export interface OpenOrder {
	readonly reading: Reading;
	readonly work: HeadWork;
}

/** A station's readings that are neither struck through nor stale, newest first. */
export type Standing = Readonly<Record<Quantity, readonly Reading[]>> & {
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
export function standingReadings(job: Job): ReadonlyMap<string, Standing> {
	const struck = new Set(job.voids.map((entry) => entry.reading));
	const byStation = new Map(job.stations.map((station) => [station.label, blank()]));
	for (const reading of job.readings) {
		if (!struck.has(reading.id)) byStation.get(reading.station)?.[reading.quantity].push(reading);
	}
	const works = worksDone(job.headWork);
	const answers = works.length === 0 ? new Map<string, boolean>() : orderAnswers(job.decisions);
	return new Map(
		job.stations.map((station) => [
			station.label,
			withoutStale(
				byStation.get(station.label)!,
				works.filter((work) => concerns(work, station)),
				answers
			)
		])
	);
}

const blank = () =>
	Object.fromEntries(QUANTITIES.map((quantity) => [quantity, []])) as unknown as Record<
		Quantity,
		Reading[]
	>;

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
	works: readonly HeadWork[],
	answers: ReadonlyMap<string, boolean>
): Standing {
	const stale = new Map<Quantity, Work>();
	const open: OpenOrder[] = [];
	for (const quantity of QUANTITIES) {
		if (all[quantity].length > 1) all[quantity].sort(newestFirst);
		const own = works.filter(({ work }) => makesStale(work, quantity));
		if (own.length === 0 || all[quantity].length === 0) continue;
		const newest = own.at(-1)!;
		const readings = all[quantity];
		all[quantity] = readings.filter((reading) => {
			const answer = answers.get(orderSubject(reading.id, newest.id));
			if (answer === undefined && isOrderOpen(reading, newest)) {
				open.push({ reading, work: newest });
				return false;
			}
			return answer ?? readingTime(reading) > Date.parse(newest.at);
		});
		if (all[quantity].length === 0 && !open.some(({ reading }) => reading.quantity === quantity))
			stale.set(quantity, newest.work);
	}
	return { ...all, stale, open, works };
}

function newestFirst(a: Reading, b: Reading): number {
	return readingTime(b) - readingTime(a) || (a.id < b.id ? 1 : -1);
}
