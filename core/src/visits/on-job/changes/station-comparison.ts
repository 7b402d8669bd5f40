/** One valve of a head that came back, compared with the last signed sheet. */
import type { Kind } from '../../../foundation/station/index.ts';
import {
	TRACES,
	type FigureRead,
	type Losses,
	type Moved,
	type Trace,
	type WhatHappened
} from '../../comparison/index.ts';

/** One quantity on the last sheet and now. */
export interface QuantityComparison {
	readonly then: FigureRead;
	readonly now: FigureRead;
	readonly change: Moved;
	/** Read on another gauge: a shift that all stations share may be the gauge's. */
	readonly isAnotherGauge: boolean;
	/** Lash read on an engine warmer or colder than then. */
	readonly isOtherTemperature?: boolean;
}

export interface StationComparison {
	readonly station: string;
	readonly kind: Kind;
	/** Tag of the spring that stood there then; null where it has none. */
	readonly spring: string | null;
	/** What was measured then and now with the same parts in place. */
	readonly moved: Readonly<Partial<Record<Trace, QuantityComparison>>>;
	/** What the seat load was lost to; null where its spring was not tested both times. */
	readonly losses: Losses | null;
	/** What explains what moved; null where nothing can be compared. */
	readonly happened: WhatHappened | null;
}

/** Quantities of length that are compared: all but the load, which is at a height. */
export type Compared = Exclude<Trace, 'load'>;
export const COMPARED = TRACES.filter((trace): trace is Compared => trace !== 'load');
