/** What stood under and around the gauge, as asked once at the start of a round. */
import type { InPlaceEntry, Job, StationEntry } from './schema.ts';
import { isInspected } from './inspected.ts';
import { partsOf } from './resolve-parts.ts';
import { ROCKER_GAPS, type Quantity } from './quantities.ts';

export interface RoundParts {
	/** Was the locator under the gauge? */
	readonly locator: boolean;
	/** Were the shims of the build under the gauge? */
	readonly shims: boolean;
	/** How far the retainer sinks into the gauge body, as a length text. */
	readonly recess: string;
	/** Is every seal pushed fully home? */
	readonly sealHome: boolean;
	/** Is the retainer there the one that was ground, where the job has one? It is, unless said. */
	readonly isGround?: boolean;
	/** Is the job's lash cap on the tip? It is, unless said. */
	readonly lashCap?: boolean;
}

const GAPS: readonly Quantity[] = ['seal-gap', 'seal-gap-at-lift'];
/** No part counts: the valve is out or alone in its head, or the figure is told as installed. */
export const NOTHING_IN_PLACE: InPlaceEntry = {
	locator: '0 mm',
	shims: [],
	lockOffset: '0 mm',
	recess: '0 mm',
	retainerLanding: '0 mm'
};
/** Read to the tip, or to the rocker that stands on it. */
const OVER_TIP: readonly Quantity[] = ['tip-height', ...ROCKER_GAPS];

/** The parts in place at a station for a round's answers, with the figures of the job's parts. */
export function inPlaceFor(
	job: Job,
	station: StationEntry,
	quantity: Quantity,
	round: RoundParts
): InPlaceEntry {
	if (isInspected(quantity)) return NOTHING_IN_PLACE;
	const parts = partsOf(job.setup, station);
	const isHeight = quantity === 'installed-height';
	return {
		locator: round.locator ? (parts.locator?.thickness ?? '0 mm') : '0 mm',
		shims: round.shims ? [...station.shims] : [],
		lockOffset: station.lockOffset ?? parts.locks?.offset ?? '0 mm',
		recess: isHeight ? round.recess : '0 mm',
		retainerLanding: parts.retainer?.landingHeight ?? '0 mm',
		...(OVER_TIP.includes(quantity) &&
			parts.lashCap &&
			round.lashCap !== false && { lashCap: parts.lashCap.thickness }),
		...(GAPS.includes(quantity) && {
			...(parts.seal?.height && { sealHeight: parts.seal.height }),
			...(parts.retainer?.underside && { underside: parts.retainer.underside }),
			groundOff: round.isGround === false ? '0 mm' : (parts.retainer?.groundOff ?? '0 mm'),
			sealHome: round.sealHome
		})
	};
}
