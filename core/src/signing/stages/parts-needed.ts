/** What a job cannot be built without and has not got yet. */
import type { Job } from '../../job/document/index.ts';
import { shimsNeeded, type Sheet } from '../../sheet/evaluation/index.ts';
import type { PartType } from '../../parts/part/index.ts';
import type { StationSheet } from '../../sheet/figures/index.ts';
import { KINDS, type Kind } from '../../foundation/station/index.ts';
import { lengthOf, type Millimetres } from '../../foundation/units/index.ts';

export interface PartNeeded {
	readonly part: PartType;
	/** Which valves it is for; null for shims, which serve both. */
	readonly kind: Kind | null;
	/** Of shims; null where no size that the job has would do. */
	readonly thickness: Millimetres | null;
	readonly wanted: number;
	/** What the job itself counts of it; null where nobody counted. */
	readonly counted: number | null;
}

/** No valve is held without these. */
const INDISPENSABLE = ['spring', 'retainer', 'locks'] as const;

/**
 * Parts that nobody chose yet, and shims that are suggested and not fitted. Whether they lie
 * on the shelf is asked of the shelf.
 *
 * @example partsNeeded(job, evaluate(job)) // [{ part: 'shim', thickness: 0.762, wanted: 2, … }]
 */
export function partsNeeded({ setup, stations }: Job, sheet: Sheet): PartNeeded[] {
	const notChosen = KINDS.flatMap((kind) =>
		INDISPENSABLE.flatMap((part): PartNeeded[] => {
			const own = stations.filter((station) => station.kind === kind);
			const wanted = own.filter(({ parts }) => !parts?.[part]).length;
			return setup.kinds[kind][part] || wanted === 0
				? []
				: [{ part, kind, thickness: null, wanted, counted: 0 }];
		})
	);
	const shims = [...shimsNeeded(sheet.stations)].map(([thickness, wanted]): PartNeeded => {
		const sizes = setup.shimStock.filter((size) => lengthOf(size.thickness) === thickness);
		return {
			part: 'shim',
			kind: null,
			thickness,
			wanted,
			counted: sizes.some(({ count }) => count === undefined)
				? null
				: sizes.reduce((sum, { count }) => sum + count!, 0)
		};
	});
	const without = sheet.stations.filter(isWithoutShim).length;
	return [
		...notChosen,
		...shims,
		...(without > 0
			? [{ part: 'shim', kind: null, thickness: null, wanted: without, counted: 0 } as const]
			: [])
	];
}

/** Whether a station stands too tall, and no size that the job has would bring it closer. */
const isWithoutShim = ({ shim, figures: { height } }: StationSheet) =>
	shim?.answer.type === 'leave' &&
	shim.answer.why === 'nothing-closer' &&
	height.state !== 'clear' &&
	height.limit?.side === 'ceiling';
