/** Checking springs in a head: soft ones, put in to try clearances, with which it must not leave (docs/trade/assembly.md). */
import type { AssemblyStep } from '../job/document/index.ts';

/** How an entry of the assembly says that a checking spring went in, or came out again. */
export const CHECKING_SPRING = 'checking-spring';

/** Stations that have one in, by the newest entry of each. */
export function checkingSprings(entries: readonly AssemblyStep[]): ReadonlySet<string> {
	const stations = new Set<string>();
	const inTime = entries
		.filter(({ step }) => step === CHECKING_SPRING)
		.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
	for (const { place, done } of inTime) {
		if (done) stations.add(place);
		else stations.delete(place);
	}
	return stations;
}
