/** What waits to be sent. */
import type { Hand } from './hand.ts';

export const outbox = (hand: Hand) => ({
	cutOff: () => hand.sees('it was cut off when it was saved or sent'),
	away: () => hand.sees('The server cannot be reached.'),
	unsaved: () => hand.sees('Unsaved'),
	one: () => hand.sees('1 unsent'),
	notSaved: () => hand.sees('Not saved'),
	two: () => hand.sees('2 unsent')
});
