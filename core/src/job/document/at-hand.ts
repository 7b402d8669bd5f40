/** Which valves a job works on: one, a cylinder, a head, or all; the rest is not looked at (docs/trade/assembly.md). */
import type { Job, StationEntry } from './schema.ts';

type Hand = Pick<Job, 'setup' | 'stations'>;

/** The stations at hand; all of them unless the job names some. */
export function stationsAtHand({ setup, stations }: Hand): readonly StationEntry[] {
	const { atHand } = setup;
	if (!atHand) return stations;
	const chosen = stations.filter(({ label }) => atHand.includes(label));
	return chosen.length > 0 ? chosen : stations;
}

/** Whether a station is worked on. */
export const isAtHand = (job: Hand, label: string): boolean =>
	stationsAtHand(job).some((station) => station.label === label);
