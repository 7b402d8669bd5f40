/** Setup of a job. */
import type { Hand } from './hand.ts';

export const setup = (hand: Hand) => ({
	save: () => hand.click('Save setup', 'button'),
	saved: () => hand.sees('Setup saved'),
	duty: (text: string) => hand.fill('use.duty', text),
	workLocation: (text: string) => hand.fill('Work location', text),
	kindsHere: (text: string) => hand.fill('atHand', text),
	intakeLobeLift: (text: string) => hand.fill('kinds.intake.lift.lobe', text)
});
