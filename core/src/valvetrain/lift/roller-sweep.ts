/** How far a roller tip sweeps over the valve's tip through the lift. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';

/**
 * The sweep of a rocker's roller over the tip, where the arm stands square to the valve at
 * half lift, which is the least there is: `r − √(r² − (L/2)²)` on either side of it.
 *
 * @param arm from the rocker's pivot to the valve's tip, in mm
 * @param lift of the valve, in mm
 * @returns in mm; null for an arm shorter than half the lift
 *
 * @example arm 40 mm, lift 14 mm: 40 − √(1600 − 49) = 0.617
 */
export function rollerSweep(arm: Millimetres, lift: Millimetres): Millimetres | null {
	const square = arm ** 2 - (lift / 2) ** 2;
	return square < 0 ? null : mm(arm - Math.sqrt(square));
}
