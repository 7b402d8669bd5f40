/** What if. */
import type { Hand } from './hand.ts';

export const whatIf = (hand: Hand) => ({
	planned: () => hand.sees('what if, planned')
});
