/** Calculators. */
import type { Hand } from './hand.ts';

export const calculators = (hand: Hand) => ({
	showsWorking: () => hand.sees('1.150 + 0.540 + 0.060 = 1.750'),
	cushion: (text: string) => hand.fill('cushion', text)
});
