/** What all stations of a job are judged by. */
import { lengthOf, type Millimetres } from '../units/quantity.ts';
import type { ShimStock } from '../plan/shim.ts';
import type { Limits, Setup } from './schema.ts';

/** Limits and stock, read from the set-up once. */
export interface Shared {
	readonly limits: ReturnType<typeof limitFigures>;
	readonly stock: readonly ShimStock[];
	readonly railTip: Millimetres;
}

export function sharedBy(setup: Setup): Shared {
	return {
		limits: limitFigures(setup.limits),
		stock: setup.shimStock.map((size) => ({
			thickness: lengthOf(size.thickness),
			count: size.count
		})),
		railTip: lengthOf(setup.limits.fit.railTip)
	};
}

function limitFigures(limits: Limits) {
	return {
		heightTolerance: lengthOf(limits.heightTolerance),
		heightStop: lengthOf(limits.heightStop),
		bindFloor: lengthOf(limits.bindFloor),
		bindAim: lengthOf(limits.bindAim),
		bindWide: lengthOf(limits.bindWide),
		sealFloor: lengthOf(limits.sealFloor),
		rockerFloor: lengthOf(limits.rockerFloor),
		shimFrom: lengthOf(limits.shimFrom),
		shimsAtMost: limits.shimsAtMost,
		loadBand: limits.loadBand,
		lash: { watch: lengthOf(limits.lashWatch), stop: lengthOf(limits.lashStop) },
		preloadWithin: lengthOf(limits.preloadWithin),
		pistonFloors: {
			intake: lengthOf(limits.pistonFloors.intake),
			exhaust: lengthOf(limits.pistonFloors.exhaust)
		}
	};
}
