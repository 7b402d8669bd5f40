/** What the stations of one kind of valve share, and what a choice of shims leads to. */
import type { Millimetres, Newtons, NewtonsPerMillimetre } from '../../foundation/units/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import type { Bind, Curve } from '../../springs/spring/index.ts';
import type { Lift } from '../../valvetrain/lift/index.ts';
import type { Target } from '../target-height/index.ts';
import type { ShimAnswer } from '../../parts/shim/index.ts';
import type { Source } from '../../foundation/verdict/index.ts';
import type { ControlRead } from './control-read.ts';
import type { Remark } from './remark.ts';

/** What all stations of a kind have in common. */
export interface KindSheet {
	readonly kind: Kind;
	readonly lift: Lift | null;
	readonly curve: Curve | null;
	readonly rate: NewtonsPerMillimetre | null;
	/** Its card's line, whatever was tested. */
	readonly line: Curve | null;
	/** What a fitted spring's loads are held against: that line, or the median of its tested set. */
	readonly promised: Curve | null;
	readonly bind: Bind | null;
	readonly target: Target;
	/** Lowest height at which the coil bind floor holds. */
	readonly lowestHeight: Millimetres | null;
	/** Lowest height at which the margin reaches its aim as well. */
	readonly lowestAimHeight: Millimetres | null;
	/** Median of the measured bare heights, and how far from it a station stands apart. */
	readonly bareMedian: Millimetres | null;
	readonly bareReach: Millimetres | null;
	readonly sources: {
		/** Of the curve: tested, or its card's. */
		readonly spring: Source | null;
		readonly card: Source | null;
		readonly lift: Source | null;
		readonly bind: readonly Source[];
		/** Of the height aimed for. */
		readonly target: readonly Source[];
	};
	/** What its valves' control is worked out from; null for a cam that says nothing of its lobe's shape. */
	readonly control: ControlRead | null;
	readonly remarks: readonly Remark[];
}

/** What a shim suggestion would lead to. */
export interface Outcome {
	readonly shims: readonly Millimetres[];
	readonly height: Millimetres;
	readonly seatLoad: Newtons | null;
	readonly openLoad: Newtons | null;
	readonly bindMargin: Millimetres | null;
}

/** The shims suggested for a station on its own, and what they lead to. */
export interface ShimAdvice {
	readonly answer: ShimAnswer;
	readonly outcome: Outcome | null;
}
