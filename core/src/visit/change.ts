/** A figure then and now, and whether the change between them is more than what both were read with. */
import { combinedUncertainty } from '../verdict/index.ts';

/** A change and the half-width of its 95 % interval, in the figure's own unit. */
export interface Change {
	readonly by: number;
	readonly uncertainty: number;
}

/** A figure as it was read, with the half-width of its 95 % interval. */
export interface Figure {
	readonly value: number;
	readonly uncertainty: number;
}

/** What a figure has changed by; both readings are in its uncertainty. */
export const changeOf = (then: Figure, now: Figure): Change => ({
	by: now.value - then.value,
	uncertainty: combinedUncertainty(then.uncertainty, now.uncertainty)
});

/** Whether a change is more than its uncertainty: what is within it is no news. */
export const isBeyond = ({ by, uncertainty }: Change): boolean => Math.abs(by) > uncertainty;
