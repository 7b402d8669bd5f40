/** What a lobe feeds a spring's coils with, order by order (docs/trade/valvetrain.md#control). */
import type { Lobe } from './lobe.ts';

/** Points of a turn of the cam that the sums are taken over. */
const POINTS = 1440;

/**
 * Amplitudes of a lobe's acceleration as waves of its own turn.
 *
 * @param max orders asked for, each so many waves a turn of the cam
 * @returns mm/rad², from order 1 on
 */
export function harmonicsOf(lobe: Pick<Lobe, 'at'>, max: number): number[] {
	const accelerations = Array.from(
		{ length: POINTS },
		(_, i) => lobe.at((2 * Math.PI * i) / POINTS - Math.PI).acceleration
	);
	return Array.from({ length: max }, (_, i) => {
		let [cos, sin] = [0, 0];
		accelerations.forEach((acceleration, k) => {
			const angle = (2 * Math.PI * (i + 1) * k) / POINTS;
			cos += acceleration * Math.cos(angle);
			sin += acceleration * Math.sin(angle);
		});
		return (2 * Math.hypot(cos, sin)) / POINTS;
	});
}
