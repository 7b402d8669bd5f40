/** A form of the library. */
import type { Hand } from './hand.ts';

export const form = (hand: Hand) => ({
	save: () => hand.click('Save', 'button')
});
