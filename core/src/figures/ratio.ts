import type { KindSetup } from '../document/index.ts';

/** Rocker ratio of these parts: the one their lobe lift was given with, else the rocker's own; null where neither is known. */
export function ratioOf({ lift, rocker }: KindSetup): number | null {
	return lift?.sort === 'lobe' ? lift.ratio : (rocker?.ratio ?? null);
}
