/** The spring's own vibration along its coils (docs/trade/valvetrain.md#control). */
import type { Kilograms, NewtonsPerMillimetre } from '../../foundation/units/index.ts';

/** Orders below this near a running speed are trouble (docs/trade/valvetrain.md#control). */
export const LOW_ORDER = 10;

/**
 * The lowest frequency of a coil between two fixed ends, `f₁ = ½·√(k/m)`.
 *
 * @param mass of the coils that move; the dead ones at the ends left out
 * @returns in Hz
 */
export const surgeFrequency = (rate: NewtonsPerMillimetre, mass: Kilograms): number =>
	Math.sqrt((rate * 1000) / mass) / 2;

/**
 * How many times a coil swings in one turn of the cam, `120·f₁/N`: the harmonic of the lobe
 * that feeds it.
 *
 * @param speed of the crankshaft in rpm
 */
export const surgeOrder = (frequency: number, speed: number): number => (120 * frequency) / speed;

/** The engine speed, in rpm, at which an order of the cam's turn meets the coils. */
export const surgeSpeed = (frequency: number, order: number): number => (120 * frequency) / order;
