/** Assembly, step by step. */
import type { Hand } from './hand.ts';

export const assembly = (hand: Hand) => ({
	counted: (text: string) => hand.fill('Counted', text),
	asksForShims: () => hand.sees('Record these shims'),
	byStep: () => hand.click('By step', 'label')
});
