/** What valves, seats and chambers are held against: the limits of the job as figures, and the middle of each kind. */
import { siOf } from '../../foundation/units/index.ts';
import {
	INSPECTED,
	INSPECTED_FIGURE,
	isByCylinder,
	trueFigure,
	usualInspectedLimits,
	type CurrentReadings,
	type Inspected,
	type InspectedFigure,
	type Job,
	type Limits,
	type Quantity
} from '../../job/document/index.ts';
import { median, type Kind } from '../../foundation/station/index.ts';

/** The limits of each quantity, for each kind of valve. */
export type InspectedFigureLimits = Readonly<Record<Kind, Readonly<Record<Inspected, Range>>>>;
interface Range {
	readonly min: number | null;
	readonly max: number | null;
	readonly apart: number | null;
}
type RangeTexts = Partial<
	Record<InspectedFigure, { readonly [end in keyof Range]?: string | undefined } | undefined>
>;
/** The middle of what was read of a quantity on a kind of valves, by {@link middleKey}. */
export type InspectedMedians = ReadonlyMap<string, number>;

/** Held against the middle of their kind: what an inspection measures, and loads on the head. */
const AMONG_THEIR_KIND: readonly Quantity[] = [...INSPECTED, 'on-head-load'];
/** Fewer cannot say which of them is odd. */
const MIN_FOR_MEDIAN = 3;
/** What a middle goes by: a chamber's is that of all, a valve's that of its kind. */
export const medianKey = (quantity: Quantity, kind: Kind) =>
	isByCylinder(quantity) ? quantity : `${quantity} ${kind}`;

/** The limits of an inspection as figures, in mm or cubic centimetres. */
export function inspectedFigureLimits({
	inspected = usualInspectedLimits('in')
}: Limits): InspectedFigureLimits {
	const ofKind = (kind: Kind) => rangesOf({ ...inspected[kind], ...inspected.chamber });
	return { intake: ofKind('intake'), exhaust: ofKind('exhaust') };
}

const rangesOf = (ranges: RangeTexts) =>
	Object.fromEntries(
		INSPECTED.map((quantity): [Inspected, Range] => {
			const { min, max, apart } = ranges[INSPECTED_FIGURE[quantity]] ?? {};
			const figureOf = (text: string | undefined) => (text === undefined ? null : siOf(text));
			return [quantity, { min: figureOf(min), max: figureOf(max), apart: figureOf(apart) }];
		})
	) as Record<Inspected, Range>;

/** The middles of all that was read on valves, seats and chambers; none of what was read on fewer than three. */
export function inspectedMedians(
	{ stations }: Job,
	current: ReadonlyMap<string, CurrentReadings>
): InspectedMedians {
	const read = new Map<string, number[]>();
	for (const { label, kind } of stations) {
		const own = current.get(label)!;
		for (const quantity of AMONG_THEIR_KIND) {
			const [newest] = own[quantity];
			if (!newest) continue;
			const key = medianKey(quantity, kind);
			read.set(key, [...(read.get(key) ?? []), trueFigure(newest)]);
		}
	}
	return new Map(
		[...read]
			.filter(([, values]) => values.length >= MIN_FOR_MEDIAN)
			.map(([key, values]) => [key, median(values)])
	);
}
