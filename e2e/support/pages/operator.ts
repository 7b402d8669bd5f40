/** Sign-in, and who works at a bench. */
import type { Hand } from './hand.ts';

export const operator = (hand: Hand) => ({
	takeOver: () => hand.click('Take over', 'button'),
	shared: () => hand.click('Several of us work at this bench', 'label'),
	signIn: () => hand.click('Sign in', 'button'),
	whoIsHere: () => hand.click('Who is here?', 'a'),
	asksWho: () => hand.sees('Select operator'),
	password: (text: string) => hand.fill('Password', text),
	code: (text: string) => hand.fill('Code of your phone', text)
});
