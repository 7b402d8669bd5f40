/** Which of a station's readings counts. */
import { QUANTITIES, type Quantity } from './quantities.ts';
import type { Job, Reading } from './schema.ts';

/** A station's readings that are not struck through, newest first. */
export type Standing = Readonly<Record<Quantity, readonly Reading[]>>;

/**
 * The readings that stand, by station and quantity, newest first; the first
 * is in force. Two taken in the same instant go by id, which grows with time.
 */
export function standingReadings(job: Job): ReadonlyMap<string, Standing> {
	const struck = new Set(job.voids.map((entry) => entry.reading));
	const standing = new Map<string, Record<Quantity, Reading[]>>();
	for (const station of job.stations) {
		standing.set(
			station.label,
			Object.fromEntries(QUANTITIES.map((quantity) => [quantity, []])) as unknown as Record<
				Quantity,
				Reading[]
			>
		);
	}
	for (const reading of job.readings) {
		if (!struck.has(reading.id)) standing.get(reading.station)?.[reading.quantity].push(reading);
	}
	for (const byQuantity of standing.values()) {
		for (const readings of Object.values(byQuantity)) readings.sort(newestFirst);
	}
	return standing;
}

function newestFirst(a: Reading, b: Reading): number {
	const [earlier, later] = [Date.parse(a.at), Date.parse(b.at)];
	return later - earlier || (a.id < b.id ? 1 : -1);
}
