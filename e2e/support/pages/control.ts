/** Valve control. */
import type { Hand } from './hand.ts';

export const control = (hand: Hand) => ({
	parts: () => hand.sees('Off its cam or bouncing from'),
	wantsTable: () => hand.sees('The intake lobe has no lift table.')
});
