/** The sheet: everything that can be worked out from a job document. Figures in SI units. */
import type { Millimetres, Newtons } from '../../foundation/units/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import type { State } from '../../foundation/verdict/index.ts';
import type { Quantity } from '../../job/document/index.ts';
import type { KindSheet, Remark, StationSheet } from '../figures/index.ts';
import type { Finding, FitGroup } from '../fit/index.ts';

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
	readonly min: {
		readonly bindMargin: Extreme<Millimetres> | null;
		readonly sealClearance: Extreme<Millimetres> | null;
	};
	readonly seatLoads: Readonly<Record<Kind, { min: Newtons; max: Newtons } | null>>;
	/** What concerns the job as a whole: parts that contradict each other, stock that runs short. */
	readonly remarks: readonly Remark[];
}
