/** A room of the sheet: one judged figure of a station. */
import type { Verdict } from '../../foundation/verdict/index.ts';
import type { StationRead } from './read.ts';

export type FigureDimension = 'length' | 'load' | 'pressure' | 'volume' | 'speed';

export interface Figure<V extends Verdict | null = Verdict | null> {
	readonly dimension: FigureDimension;
	/** Whether the sheet has a column of it; else it is told by its remark only. */
	readonly isColumn: boolean;
	/** Told before others of the same state: what breaks engines first. */
	readonly isForemost?: boolean;
	/** Asks for an acceptance before it is signed even where it is only to be watched. */
	readonly watchIsAccepted?: boolean;
	/** The figure of a station made to its build, judged; null where this job has none of it. */
	readonly verdict: (station: StationRead) => V;
}

/** Gives a figure the type of its own verdict. */
export const figure = <V extends Verdict | null>(one: Figure<V>): Figure<V> => one;
