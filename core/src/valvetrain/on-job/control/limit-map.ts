/** Where a spring loses its valve, were it to stand or to be lifted otherwise (docs/trade/valvetrain.md#control). */
import { rigidLimit } from '../../control/index.ts';
import { mm, type Millimetres } from '../../../foundation/units/index.ts';
import type { Controlled } from './of-job.ts';

export interface LimitMap {
	readonly heights: readonly Millimetres[];
	/** At the valve, net of lash. */
	readonly lifts: readonly Millimetres[];
	/** In rpm, by lift and then by height; null where the spring is not known there. */
	readonly limits: readonly (readonly (number | null)[])[];
}

/** How far the map goes to each side, and in how many steps. */
const ABOUT = { height: mm(1.5), heights: 13, lift: 0.12, lifts: 9 } as const;

/** The rigid limit about a station's height and lift, the lobe made higher or lower as a whole. */
export function limitMap({ train }: Pick<Controlled, 'train'>): LimitMap {
	const across = (count: number, reach: number) =>
		Array.from({ length: count }, (_, i) => reach * ((2 * i) / (count - 1) - 1));
	const heights = across(ABOUT.heights, ABOUT.height).map((off) => mm(train.height + off));
	const ratios = across(ABOUT.lifts, ABOUT.lift).map((off) => train.ratio * (1 + off));
	return {
		heights,
		lifts: ratios.map((ratio) => mm(ratio * train.lobe.peak - train.lash)),
		limits: ratios.map((ratio) =>
			heights.map((height) => rigidLimit({ ...train, ratio, height })?.speed ?? null)
		)
	};
}
