/** A figure then and now, and whether the change between them is more than what both were read with. */
import { combinedUncertainty } from '../../foundation/verdict/index.ts';

/** A change and the half-width of its 95 % interval, in the figure's own unit. */
export interface Moved {
	readonly by: number;
	readonly uncertainty: number;
}

/** A figure as it was read, with the half-width of its 95 % interval. */
export interface FigureRead {
	readonly value: number;
	readonly uncertainty: number;
}

/** What a figure has changed by; both readings are in its uncertainty. */
export const changeOf = (then: FigureRead, now: FigureRead): Moved => ({
	by: now.value - then.value,
	uncertainty: combinedUncertainty(then.uncertainty, now.uncertainty)
});

/** Whether a change is more than its uncertainty: what is within it is no news. */
export const isBeyond = ({ by, uncertainty }: Moved): boolean => Math.abs(by) > uncertainty;
