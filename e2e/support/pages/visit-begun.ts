/** This head is back: a visit begins. */
import type { Hand } from './hand.ts';

export const visitBegun = (hand: Hand) => ({
	begin: () => hand.click('Begin the visit', 'button'),
	hours: (text: string) => hand.fill('Hours run', text)
});
