/** Notes of a job. */
import type { Hand } from './hand.ts';

export const notes = (hand: Hand) => ({
	add: () => hand.click('Add', 'button'),
	write: (text: string) => hand.fill('Note', text)
});
