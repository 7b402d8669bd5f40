/** The gaps that must be left at full lift (docs/trade/sheet.md). All in millimetres. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';

/**
 * Coil bind margin `(h − L) − bind`: what the coils have left at worst-case lift.
 *
 * @example height 1.815 in, lift 0.540 in, bind 1.180 in: 0.095 in
 */
export function coilBindMargin(
	height: Millimetres,
	worstLift: Millimetres,
	bind: Millimetres
): Millimetres {
	return mm(height - worstLift - bind);
}

/**
 * Retainer-to-seal clearance `D − L` at worst-case lift, from the gap with the valve closed. Source: docs/trade/sheet.md.
 *
 * @param closedGap retainer underside to seal, valve closed, in mm
 * @returns mm, below zero where they would meet
 * @example sealClearance(mm(15), mm(13.7)) // 1.3
 */
export function sealClearance(closedGap: Millimetres, worstLift: Millimetres): Millimetres {
	return mm(closedGap - worstLift);
}
