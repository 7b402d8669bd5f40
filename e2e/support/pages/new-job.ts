/** New job: a head is taken in. */
import type { Hand } from './hand.ts';

export const newJob = (hand: Hand) => ({
	openHeads: () => hand.click('How the heads lie', 'button'),
	create: () => hand.click('Create job', 'button'),
	customer: (text: string) => hand.fill('Customer', text),
	engine: (text: string) => hand.fill('Engine', text),
	cylinders: (text: string) => hand.fill('cylinders', text),
	kit: (text: string) => hand.fill('Kit or spring', text),
	lift: (text: string) => hand.fill('Lift', text),
	application: (text: string) => hand.fill('Application', text)
});
