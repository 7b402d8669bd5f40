/** Parts of the library, and of a job. */
import type { Hand } from './hand.ts';

export const parts = (hand: Hand) => ({
	bindFloor: () => hand.sees('Min bind margin'),
	findSpring: () => hand.sees('Find a spring'),
	intakeLocks: (text: string) => hand.fill('intake: Locks', text),
	partName: (text: string) => hand.fill('name', text),
	angle: (text: string) => hand.fill('angle', text),
	label: (text: string) => hand.fill('Name', text)
});
