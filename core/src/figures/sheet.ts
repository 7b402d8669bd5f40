/** What a station and a kind of the sheet say: figures in SI units, verdicts, remarks. */
import type { Joules, Millimetres, Newtons, NewtonsPerMillimetre } from '../units/quantity.ts';
import type { Phrase } from '../units/phrase.ts';
import type { Kind } from '../station/layout.ts';
import type { StationChecks } from '../build-checks/check.ts';
import type { Bind } from '../spring/bind.ts';
import type { Curve } from '../spring/curve.ts';
import type { Lift } from '../lift/lift.ts';
import type { Target } from '../target-height/target.ts';
import type { ShimAnswer } from '../plan/shim.ts';
import type { Source, State, Verdict } from '../verdict/verdict.ts';
import type { Quantity } from '../document/quantities.ts';
import type { MovingMass } from '../mass/mass.ts';
import type { Inspection, Reading } from '../document/schema.ts';

/** Something to say about a station, a kind or the job, with how much it matters. */
export interface Remark {
	readonly state: State;
	readonly text: Phrase;
	/** What it is about, where something is done about it in particular. */
	readonly about?:
		'on-head load' | 'lash drift' | 'forgotten part' | 'order' | 'pocket' | undefined;
	/** The limit that decided, in SI units: an acceptance does not outlive it. */
	readonly limit?: number | undefined;
	/** What can be said to it, kept as a decision with these words for its subject. */
	readonly asks?: string | undefined;
}

/** The columns of the sheet, in order. */
export const COLUMNS = [
	'height',
	'seatLoad',
	'openLoad',
	'bindMargin',
	'sealClearance',
	'tipHeight',
	'rocker',
	'lash'
] as const;
export type Column = (typeof COLUMNS)[number];

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

export interface StationSheet {
	readonly label: string;
	readonly head: string;
	readonly cylinder: number;
	readonly kind: Kind;
	/** What it shares with the stations that have the same parts. */
	readonly shared: KindSheet;
	readonly state: State;
	readonly bareHeight: Verdict<Millimetres>;
	readonly figures: {
		readonly height: Verdict<Millimetres>;
		readonly seatLoad: Verdict<Newtons>;
		readonly openLoad: Verdict<Newtons>;
		readonly bindMargin: Verdict<Millimetres>;
		readonly sealClearance: Verdict<Millimetres>;
		/** null where nobody measured it: not every job wants it. */
		readonly tipHeight: Verdict<Millimetres> | null;
		/** Least of rocker to retainer, closed, half and full lift; null where nobody measured it. */
		readonly rocker: Verdict<Millimetres> | null;
		/** null for hydraulic lifters, which have none. */
		readonly lash: Verdict<Millimetres> | null;
	};
	/** How far the tip, or the lash cap on it, would stand above the retainer. */
	readonly tipHeight: Millimetres | null;
	/** Gap with the valve closed, as the build would have it. */
	readonly sealGap: Millimetres | null;
	/** Rocker to retainer of the build, closed, at half and at full lift; null where it was not read. */
	readonly rockerGaps: readonly (Millimetres | null)[];
	/** What is fitted, or will be, at this station. */
	readonly stack: {
		readonly locator: Millimetres;
		readonly shims: readonly Millimetres[];
		readonly lockOffset: Millimetres;
	};
	readonly shim: { readonly answer: ShimAnswer; readonly outcome: Outcome | null } | null;
	/** Load of the spring that stands here against its card's at the same height; null where it was not tested. */
	readonly loss: Verdict<Newtons> | null;
	/** Height measured with everything fitted, against the plan; null until it is. */
	readonly built: Verdict<Millimetres> | null;
	/** Least room between piston and valve, pump-up taken off; null until it is measured. */
	readonly piston: Verdict<Millimetres> | null;
	readonly checks: StationChecks;
	/** How far a hydraulic lifter's plunger was pushed in; null until it is set, and for solid ones. */
	readonly preload: Verdict<Millimetres> | null;
	/** How far a lash that was found lies from the one last set. */
	readonly lashDrift: Millimetres | null;
	/** What an on-head tester read, with its correction. */
	readonly headLoad: Newtons | null;
	/** 95 % uncertainty of the height. */
	readonly uncertainty: Millimetres | null;
	readonly energy: Joules | null;
	readonly mass: MovingMass;
	/** What was seen on the valve, newest inspection; null before it was looked at. */
	readonly seen: Inspection | null;
	/** The reading in force for each quantity. */
	readonly inForce: Partial<Record<Quantity, Reading>>;
	/** What is the matter here, worst first. */
	readonly remarks: readonly Remark[];
}
