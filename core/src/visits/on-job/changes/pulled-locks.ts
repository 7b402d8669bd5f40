/** Locks that have pulled through their retainer: the one change that must not be taken for another. Source: docs/trade/visits.md#stop-rules. */
import type { StationComparison } from './station-comparison.ts';

/**
 * Whether the locks of a valve may have pulled through: its height has grown, its tip has dropped, and pulled locks are
 * among what fits. Seat recession with a worn tip looks the same until tip length tells them apart.
 */
export const arePulledLocks = ({ moved, happened }: StationComparison): boolean => {
	const [height, tip] = [moved.height?.change, moved['tip-height']?.change];
	if (!height || !tip || height.by <= height.uncertainty || -tip.by <= tip.uncertainty)
		return false;
	return (
		happened?.explanations.some((one) =>
			one.happened.some(({ happening }) => happening === 'locks-pulled')
		) ?? false
	);
};
