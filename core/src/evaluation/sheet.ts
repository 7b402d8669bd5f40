/** The sheet: everything that can be worked out from a job document. Figures in SI units. */
import type { Millimetres, Newtons } from '../units/quantity.ts';
import type { Kind } from '../station/layout.ts';
import type { State } from '../verdict/verdict.ts';
import type { Quantity } from '../document/quantities.ts';
import type { KindSheet } from '../figures/kind.ts';
import type { Remark } from '../figures/remark.ts';
import type { StationSheet } from '../figures/sheet.ts';
import type { Finding, FitGroup } from '../fit/finding.ts';

/** A column's extreme, and where it is. */
export interface Extreme<Q> {
	readonly station: string;
	readonly figure: Q;
}

export interface Sheet {
	readonly job: { readonly id: string; readonly number: string };
	readonly state: State;
	readonly stations: readonly StationSheet[];
	/** Every rule of fit, with its outcome, for every set of parts on the job. */
	readonly fit: readonly Finding[];
	/** The sets of parts that stand on the job, as the rules of fit see them. */
	readonly fitContexts: readonly FitGroup[];
	readonly kinds: Readonly<Record<Kind, KindSheet>>;
	readonly measured: Readonly<Record<Quantity, number>>;
	readonly least: {
		readonly bindMargin: Extreme<Millimetres> | null;
		readonly sealClearance: Extreme<Millimetres> | null;
	};
	readonly seatLoads: Readonly<Record<Kind, { least: Newtons; most: Newtons } | null>>;
	/** What concerns the job as a whole: parts that contradict each other, stock that runs short. */
	readonly remarks: readonly Remark[];
}
