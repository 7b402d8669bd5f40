/** What stood under and around the gauge, as asked once at the start of a round. */
import type { InPlaceEntry, Job, StationEntry } from './schema.ts';
import { partsOf } from './parts-of.ts';
import type { Quantity } from './quantities.ts';

export interface RoundParts {
	/** Was the locator under the gauge? */
	readonly locator: boolean;
	/** Were the shims of the build under the gauge? */
	readonly shims: boolean;
	/** How far the retainer sinks into the gauge body, as a length text. */
	readonly recess: string;
	/** Is every seal pushed fully home? */
	readonly sealHome: boolean;
}

/** The parts in place at a station for a round's answers, with the figures of the job's parts. */
export function inPlaceFor(
	job: Job,
	station: StationEntry,
	quantity: Quantity,
	round: RoundParts
): InPlaceEntry {
	const parts = partsOf(job.setup, station);
	const isHeight = quantity === 'installed height';
	return {
		locator: round.locator ? (parts.locator?.thickness ?? '0 mm') : '0 mm',
		shims: round.shims ? [...station.shims] : [],
		lockOffset: station.lockOffset ?? parts.locks?.offset ?? '0 mm',
		recess: isHeight ? round.recess : '0 mm',
		retainerLanding: parts.retainer?.landingHeight ?? '0 mm',
		...(quantity === 'tip height' && parts.lashCap && { lashCap: parts.lashCap.thickness }),
		...(quantity === 'seal gap' && {
			...(parts.seal?.height && { sealHeight: parts.seal.height }),
			sealHome: round.sealHome
		})
	};
}
