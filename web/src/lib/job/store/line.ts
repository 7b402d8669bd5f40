import type { Stage } from '@zinc-ledger/core';

/** A job as one line of a list: who, what, how far, what blocks. */
export interface JobLine {
	readonly id: string;
	readonly number: string;
	readonly takenIn: string;
	readonly customer: string;
	readonly contact: string | undefined;
	readonly engine: string;
	readonly duty: string;
	/** The day it is wanted on, and what was agreed; undefined where nothing was. */
	readonly due: string | undefined;
	readonly price: string | undefined;
	readonly stations: number;
	readonly stages: readonly Stage[];
	/** The first stage that is not done; undefined once all are. */
	readonly open: Stage | undefined;
	/** Stations at stop. */
	readonly stops: readonly string[];
	/** How many are to be looked at. */
	readonly unclear: number;
}
