/** Locks that have pulled through their retainer: the one change that must not be taken for another. Source: docs/trade/visits.md#stop-rules. */
import type { StationComparison } from './station-comparison.ts';

/**
 * Whether the locks of a valve may have pulled through: its height has grown, pulled locks are among what fits, and its
 * tip has dropped or, where no tip was read, its lash is as it was set: a receded seat would have closed it. Seat
 * recession with a worn tip looks the same until tip length tells them apart.
 */
export const arePulledLocks = ({ moved, happened }: StationComparison): boolean => {
	const height = moved.height?.change;
	if (!height || height.by <= height.uncertainty) return false;
	const [tip, lash] = [moved['tip-height']?.change, moved.lash?.change];
	if (tip ? -tip.by <= tip.uncertainty : !lash || -lash.by > lash.uncertainty) return false;
	return (
		happened?.explanations.some((one) =>
			one.happened.some(({ happening }) => happening === 'locks-pulled')
		) ?? false
	);
};
