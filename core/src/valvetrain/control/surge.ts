/** The spring's own vibration along its coils (docs/trade/valvetrain.md#control). */
import type { Kilograms, Millimetres, NewtonsPerMillimetre } from '../../foundation/units/index.ts';

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

/** Shear modulus of spring steel in N/m², and its density in kg/m³. */
const STEEL = { shear: 79.3e9, density: 7850 } as const;
/** Closed coils at the two ends, which do not move. */
const DEAD_COILS = 2;

/**
 * The lowest frequency of one helical coil set from its size alone, `f₁ = d ÷ (2π·n·D²) · √(G ÷ 2ρ)`:
 * in a dual spring each coil has its own.
 *
 * @param outside diameter, and the height at which the coil is solid: so many turns of wire
 * @returns in Hz; null where fewer than one turn is left to move
 * @example 4.5 mm wire, 36 mm outside, solid at 27 mm: 406 Hz
 */
export function coilFrequency(
	wire: Millimetres,
	outside: Millimetres,
	solid: Millimetres
): number | null {
	const active = solid / wire - DEAD_COILS;
	if (active < 1) return null;
	const mean = outside - wire;
	return (
		((1000 * wire) / (2 * Math.PI * active * mean ** 2)) *
		Math.sqrt(STEEL.shear / (2 * STEEL.density))
	);
}

/**
 * How many times a coil swings in one turn of the cam, `120·f₁/N`: the harmonic of the lobe
 * that feeds it.
 *
 * @param speed of the crankshaft in rpm
 */
export const surgeOrder = (frequency: number, speed: number): number => (120 * frequency) / speed;

/** The engine speed, in rpm, at which an order of the cam's turn meets the coils. */
export const surgeSpeed = (frequency: number, order: number): number => (120 * frequency) / order;
