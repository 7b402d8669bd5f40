/** Which parts stand at a station: its own, else its cylinder's lift and lash, else its kind's. */
import type { Job, KindSetup, Setup, StationEntry } from './schema.ts';

/**
 * The parts of every station of a job, by label. Stations that have nothing of
 * their own share their kind's very object, so that what is worked out for it
 * is worked out once.
 */
export function partsByStation(job: Job): ReadonlyMap<string, KindSetup> {
	return new Map(job.stations.map((station) => [station.label, partsOf(job.setup, station)]));
}

/** The parts of one station. */
export function partsOf(setup: Setup, station: StationEntry): KindSetup {
	const kind = setup.kinds[station.kind];
	const override = setup.overrides?.find(
		(entry) => entry.cylinder === station.cylinder && entry.kind === station.kind
	);
	if (!override && !station.parts) return kind;
	return {
		...kind,
		...(override?.lift && { lift: override.lift }),
		...(override?.lash && { lash: override.lash }),
		...station.parts
	};
}
