/** The list of jobs, and ways to another page. */
import type { Hand } from './hand.ts';

export const shop = (hand: Hand) => ({
	open: () => hand.sees('Find by number'),
	toSheet: () => hand.click('Sheet', 'a'),
	twinCam: () => hand.sees('Sheet of job 2409')
});
