/** Checks after assembly. */
import type { Fills } from './hand.ts';

export const checks = (hand: Fills) => ({
	leakDown: (text: string) => hand.fill('Lost, %', text),
	vacuum: (text: string) => hand.fill('Vacuum, inHg', text)
});
