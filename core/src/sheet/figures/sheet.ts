/** What a station of the sheet says: figures in SI units, verdicts, remarks. */
import type { Joules, Millimetres } from '../../foundation/units/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import type { StationChecks } from '../checks/index.ts';
import type { State } from '../../foundation/verdict/index.ts';
import type { Inspection, Quantity, Reading } from '../../job/document/index.ts';
import type { MovingMass } from '../mass/index.ts';
import type { KindSheet, ShimAdvice } from './kind.ts';
import type { Figures } from './registry.ts';
import type { Remark } from './remark.ts';

export interface StationSheet {
	readonly label: string;
	readonly head: string;
	readonly cylinder: number;
	readonly kind: Kind;
	/** What it shares with the stations that have the same parts. */
	readonly shared: KindSheet;
	readonly state: State;
	/** Every figure of the registry, judged; null where this job has none of it. */
	readonly figures: Figures;
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
	readonly shim: ShimAdvice | null;
	readonly checks: StationChecks;
	/** How far a lash that was found lies from the one last set. */
	readonly lashDrift: Millimetres | null;
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
