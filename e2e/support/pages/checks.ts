/** Checks after assembly. */
import type { Fills } from './hand.ts';

export const checks = (hand: Fills) => ({
	vacuum: (text: string) => hand.fill('Vacuum, inHg', text)
});
