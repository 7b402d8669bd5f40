/** A round of readings. */
import type { Hand } from './hand.ts';

export const round = (hand: Hand) => ({
	elevenLeft: () => hand.sees('11 of 12 left'),
	allOne: () => hand.sees('All 1 measured.'),
	readingsPerValve: (text: string) => hand.fill('Readings per valve', text),
	asksFirst: () => hand.sees('Setup for this round'),
	asksForLocator: () => hand.sees('Answer first if the locator is under the gauge'),
	asksForSeal: () => hand.sees('Is every seal fully seated? Answer first'),
	allTwelve: () => hand.sees('All 12 measured.'),
	gauge: (text: string) => hand.fill('Shop gauge', text)
});
