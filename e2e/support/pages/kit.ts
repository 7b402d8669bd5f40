/** A kit, entered from its sheet. */
import type { Hand } from './hand.ts';

export const kit = (hand: Hand) => ({
	save: () => hand.click('Save the kit', 'button'),
	called: (text: string) => hand.fill('Name of the kit', text),
	cardHeight: (text: string) => hand.fill('Card height', text),
	intakeSeal: (text: string) => hand.fill('intake: Seal', text),
	seatLoad: (text: string) => hand.fill('Seat load', text),
	openLoad: (text: string) => hand.fill('Open load', text),
	atLift: (text: string) => hand.fill('at a lift of', text),
	bindHeight: (text: string) => hand.fill('Coil bind height', text),
	locator: (text: string) => hand.fill('Locator thickness', text)
});
