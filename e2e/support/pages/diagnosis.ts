/** Diagnosis of a complaint. */
import type { Hand } from './hand.ts';

export const diagnosis = (hand: Hand) => ({
	keepFindings: () => hand.click('Save findings', 'button'),
	atValves: (text: string) => hand.fill('At valves', text)
});
