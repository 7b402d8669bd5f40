/** The plan of a job. */
import type { Hand } from './hand.ts';

export const plan = (hand: Hand) => ({
	calculate: () => hand.click('Calculate plan', 'button'),
	optimal: () => hand.sees('Optimal.'),
	comparedWithShims: () => hand.sees('shims only'),
	accept: () => hand.click('Accept this plan', 'button'),
	accepted: () => hand.sees('Accepted')
});
