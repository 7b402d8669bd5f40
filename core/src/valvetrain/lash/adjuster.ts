/** How far to turn an adjuster, and what an engine's warmth does to lash (docs/trade/valvetrain.md#lash). Millimetres. */
import { inches, mm, type Millimetres } from '../../foundation/units/index.ts';

/** Where the adjusting thread sits. */
export const ADJUSTERS = ['stud-nut', 'pushrod-end', 'valve-end'] as const;
export type Adjuster = (typeof ADJUSTERS)[number];

/** Change at the valve for one turn of the adjuster. Source: docs/trade/valvetrain.md#lash. */
export function changePerTurn(adjuster: Adjuster, pitch: Millimetres, ratio: number): Millimetres {
	const factor = {
		'stud-nut': 1 + ratio,
		'pushrod-end': ratio,
		'valve-end': 1
	};
	return mm(pitch * factor[adjuster]);
}

/** How much deeper a hydraulic plunger sits for one turn of the adjuster. Source: docs/trade/valvetrain.md#lash. */
export function plungerPerTurn(adjuster: Adjuster, pitch: Millimetres, ratio: number): Millimetres {
	const factor = {
		'stud-nut': 1 + 1 / ratio,
		'pushrod-end': 1,
		'valve-end': 1 / ratio
	};
	return mm(pitch * factor[adjuster]);
}

/**
 * Turns that take a measured lash to the wanted one: positive closes the gap.
 *
 * @example pivot nut, pitch 1.0583 mm (24 to the inch), ratio 1.5, 0.05 mm too wide: 0.019 turns, 7°
 */
export function turnsFor(measured: Millimetres, wanted: Millimetres, perTurn: Millimetres): number {
	return (measured - wanted) / perTurn;
}

export const METALS_OF_ENGINE = ['iron', 'aluminium'] as const;
export type EngineMetal = (typeof METALS_OF_ENGINE)[number];

/** What lash gains from cold to hot, to begin with; every figure is to be confirmed hot. Source: docs/trade/valvetrain.md#lash. */
export function usualGrowth(head: EngineMetal, block: EngineMetal): Millimetres | null {
	if (head === 'iron') return block === 'iron' ? inches(-0.002) : null;
	return block === 'iron' ? inches(0.006) : inches(0.012);
}

/**
 * Lash to be expected hot: cold setting and growth. Source: docs/trade/valvetrain.md#lash.
 *
 * @returns mm
 */
export const hotLash = (cold: Millimetres, growth: Millimetres): Millimetres => mm(cold + growth);
