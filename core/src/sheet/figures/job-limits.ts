/** What all stations of a job are judged by. */
import {
	lengthOf,
	loadOf,
	mm,
	newtons,
	type Millimetres,
	type RevolutionsPerMinute
} from '../../foundation/units/index.ts';
import { UNCOUNTED, type ShimStock } from '../../parts/shim/index.ts';
import { inspectedFigureLimits, type InspectedFigureLimits } from './inspected-limits.ts';
import {
	gaugeRepeatsOf,
	type GaugeRepeats,
	type Job,
	type Limits
} from '../../job/document/index.ts';

/** Limits and stock, read from the set-up once. */
export interface JobLimits {
	readonly limits: ReturnType<typeof limitFigures>;
	readonly stock: readonly ShimStock[];
	readonly railTip: Millimetres;
	readonly inspected: InspectedFigureLimits;
	/** How the gauges of the job repeat. */
	readonly repeats: GaugeRepeats;
	/** Engine speed that a plan must hold its valves to, in rpm; null where it only tells. */
	readonly floorSpeed: RevolutionsPerMinute | null;
}

/** The limits of a job as figures, its shims by thickness in mm, and how well its gauges repeat. */
export function jobLimits(job: Job): JobLimits {
	const { setup } = job;
	return {
		limits: limitFigures(setup.limits),
		stock: setup.shimStock.map((size) => ({
			thickness: lengthOf(size.thickness),
			count: size.count ?? UNCOUNTED,
			...(size.inside && { inside: lengthOf(size.inside) }),
			...(size.outside && { outside: lengthOf(size.outside) })
		})),
		railTip: lengthOf(setup.limits.fit.railTip),
		inspected: inspectedFigureLimits(setup.limits),
		repeats: gaugeRepeatsOf(job),
		floorSpeed:
			setup.policies?.control === 'kept'
				? ((setup.use.engineSpeed ?? null) as RevolutionsPerMinute | null)
				: null
	};
}

/** What stands where a job says nothing of it: docs/trade/sheet.md and docs/trade/springs.md. */
export const UNSAID_LIMITS = {
	outlierMax: mm(0.6),
	sealHeight: mm(0.25),
	leakDown: 0.15,
	sagWatch: 0.05,
	sagStop: 0.1,
	controlHeadroom: 0.15,
	netSeatLoad: newtons(200)
} as const;

/** How far off its record's height a seal may be read and still be taken for it, in mm. */
export const sealHeightTolerance = ({ sealHeight }: Limits): Millimetres =>
	sealHeight ? lengthOf(sealHeight) : UNSAID_LIMITS.sealHeight;

function limitFigures(limits: Limits) {
	return {
		heightTolerance: lengthOf(limits.heightTolerance),
		/** A height no further off its aim than this is left as it is. */
		deadBand: mm(Math.max(lengthOf(limits.heightTolerance), lengthOf(limits.deadBand))),
		heightStop: lengthOf(limits.heightStop),
		bindFloor: lengthOf(limits.bindFloor),
		bindAim: lengthOf(limits.bindAim),
		bindMarginMax: lengthOf(limits.bindMarginMax),
		sealFloor: lengthOf(limits.sealFloor),
		rockerFloor: lengthOf(limits.rockerFloor),
		maxShims: limits.maxShims,
		outlierMin: lengthOf(limits.outlierMin),
		outlierFactor: limits.outlierFactor,
		outlierMax: limits.outlierMax ? lengthOf(limits.outlierMax) : UNSAID_LIMITS.outlierMax,
		loadTolerance: limits.loadTolerance,
		sag: {
			watch: limits.sagWatch ?? UNSAID_LIMITS.sagWatch,
			stop: limits.sagStop ?? UNSAID_LIMITS.sagStop
		},
		controlHeadroom: limits.controlHeadroom ?? UNSAID_LIMITS.controlHeadroom,
		netSeatLoad: limits.netSeatLoad ? loadOf(limits.netSeatLoad) : UNSAID_LIMITS.netSeatLoad,
		lash: { watch: lengthOf(limits.lashWatch), stop: lengthOf(limits.lashStop) },
		preloadTolerance: lengthOf(limits.preloadTolerance),
		pistonFloors: {
			intake: lengthOf(limits.pistonFloors.intake),
			exhaust: lengthOf(limits.pistonFloors.exhaust)
		}
	};
}
