/** Signing, and the signed sheet. */
import type { Hand } from './hand.ts';

export const sign = (hand: Hand) => ({
	sign: () => hand.click('Sign as Runa Tarn', 'button'),
	nothingBlocks: () => hand.sees('Nothing blocks sign-off'),
	firstSheetIsCurrent: () => hand.sees('Sheet 1 is as the job stands.')
});
