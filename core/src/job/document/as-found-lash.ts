/** Lash as a head came back with it: what it was before anybody turned an adjuster. Source: docs/trade/visits.md. */
import type { Job, Reading } from './schema.ts';

/** The first lash that was read at each station of a visit, struck ones left out. */
function firstLashes({ readings, voids }: Job): Map<string, Reading> {
	const struck = new Set(voids.map(({ reading }) => reading));
	const first = new Map<string, Reading>();
	for (const reading of readings) {
		if (reading.quantity !== 'lash' || struck.has(reading.id)) continue;
		const before = first.get(reading.station);
		if (!before || Date.parse(reading.at) < Date.parse(before.at))
			first.set(reading.station, reading);
	}
	return first;
}

/** The lash of a station as it was found; null where nobody read it before it was turned. */
export function lashAsFound(job: Job, station: string): Reading | null {
	const first = firstLashes(job).get(station);
	return first?.lash?.as === 'found' ? first : null;
}

/**
 * Stations of a head that came back whose lash nobody read as it was found, and nobody said why.
 *
 * @returns `open` have no lash yet; at `lost` it was turned before it was read
 */
export function lashNotFound(job: Job): { readonly open: string[]; readonly lost: string[] } {
	const { visitOf, setup, stations, notes } = job;
	const none = { open: [], lost: [] };
	if (!visitOf || setup.lifters !== 'solid') return none;
	const notFound = notes.filter(({ about }) => about === 'lash-not-found');
	if (notFound.some(({ station }) => station === undefined)) return none;
	const excused = new Set(notFound.map(({ station }) => station));
	const asked = stations.filter(({ label }) => !excused.has(label)).map(({ label }) => label);
	const first = firstLashes(job);
	return {
		open: asked.filter((label) => !first.has(label)),
		lost: asked.filter((label) => first.has(label) && first.get(label)!.lash?.as !== 'found')
	};
}
