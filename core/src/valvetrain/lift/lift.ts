/**
 * Valve lift. Open load uses the net lift; clearances use the worst case
 * (docs/trade/sheet.md). All lengths in millimetres.
 */
import { mm, type Millimetres } from '../../foundation/units/index.ts';

export interface Lift {
	/** Lobe lift × rocker ratio, or the valve lift as given. */
	readonly gross: Millimetres;
	/** What the valve really opens: gross less lash, for solid lifters. */
	readonly net: Millimetres;
	/** Gross, plus what a pumped-up hydraulic lifter may add. */
	readonly worst: Millimetres;
	/** Half-width of its 95 % interval, where that is known. */
	readonly uncertainty?: Millimetres;
}

/**
 * What a pumped-up hydraulic lifter holds the valve open by; 0 for a solid one. Source: docs/trade/sheet.md.
 *
 * @returns mm at the valve
 */
export const pumpUpOf = ({ gross, worst }: Lift): Millimetres => mm(worst - gross);

/**
 * `L_gross = lobe lift × ratio`.
 *
 * @returns mm at the valve
 * @example grossLift(mm(9), 1.5) // 13.5
 */
export function grossLift(lobe: Millimetres, ratio: number): Millimetres {
	return mm(lobe * ratio);
}

/**
 * Net and worst-case lift of a solid lifter: `L_net = L_gross − lash`; lash can
 * close up, so clearances take the gross lift. Source: docs/trade/sheet.md.
 *
 * @returns gross, net and worst in mm
 */
export function solidLift(gross: Millimetres, lash: Millimetres): Lift {
	return { gross, net: mm(gross - lash), worst: gross };
}

/**
 * Lifts of a hydraulic lifter. A pumped-up lifter holds the valve open by
 * `preload × ratio`, which clearances must allow for; open load does not. Source: docs/trade/sheet.md.
 *
 * @returns gross, net and worst in mm
 */
export function hydraulicLift(gross: Millimetres, preload: Millimetres, ratio: number): Lift {
	return { gross, net: gross, worst: mm(gross + preload * ratio) };
}
