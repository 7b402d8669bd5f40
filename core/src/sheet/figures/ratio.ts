import type { KindSetup, Setup } from '../../job/document/index.ts';

/** Rocker ratio of these parts: the one their lobe lift was given with, else the rocker's own; null where neither is known. */
export function ratioOf({ lift, rocker }: KindSetup): number | null {
	return lift?.type === 'lobe' ? lift.ratio : (rocker?.ratio ?? null);
}

/** Valve lift over lobe lift of a set-up's train: a bucket's is one; null where nobody said. */
export const trainRatio = ({ train }: Setup, parts: KindSetup): number | null =>
	train === 'bucket' ? 1 : ratioOf(parts);
