/** Spring sets, and the spring tester. */
import type { Hand } from './hand.ts';

export const springs = (hand: Hand) => ({
	isUntested: () => hand.sees('Nothing is tested yet.'),
	test: () => hand.click('Test springs', 'a'),
	identify: () => hand.sees('Identify the spring'),
	useOn2417: () => hand.click('Use curve on job 2417', 'button'),
	fixture: (text: string) => hand.fill('Fixture thickness', text),
	howMany: (text: string) => hand.fill('How many springs', text),
	reading: (text: string) => hand.fill('Reading', text),
	tester: (text: string) => hand.fill('Tester', text)
});
