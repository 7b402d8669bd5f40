/** A lobe whose duration no cam in use has is asked about before anything follows from it. */
import { describe, expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { lobeOfCard, type LobeCard } from './card.ts';
import { camDegrees } from './lobe.ts';
import { madeUpLobe } from './made-up.ts';

const lift = mm(9);
const card = (degrees: number, more: Partial<LobeCard> = {}): LobeCard => ({
	lift,
	durations: [{ lift: mm(1.27), degrees }],
	table: [],
	...more
});

describe('a duration at 0.050 in of lobe lift', () => {
	it.each([
		[159, true],
		[161, false],
		[250, false],
		[335, false],
		[337, true]
	])('of %i° is asked about: %s', (degrees, isAsked) => {
		expect(lobeOfCard(card(degrees))!.fault).toBe(isAsked ? 'odd-duration' : null);
	});
	it('counts once somebody has confirmed it, until it changes', () => {
		expect(lobeOfCard(card(350))).toMatchObject({ duration: expect.closeTo(350, 0) as number });
		expect(lobeOfCard(card(350, { confirmedDuration: 350 }))!.lobe).not.toBeNull();
		expect(lobeOfCard(card(360, { confirmedDuration: 350 }))!.fault).toBe('odd-duration');
	});
	it('is asked about in a table of crankshaft degrees stored as cam degrees', () => {
		const lobe = madeUpLobe({ lift, durations: [{ lift: mm(1.27), degrees: 240 }] });
		const tableOf = (stretched: number) =>
			Array.from({ length: 181 }, (_, i) => ({
				degree: (i - 90) * stretched,
				lift: Math.round(lobe.at(camDegrees(i - 90)).lift * 1000) / 1000
			}));
		expect(lobeOfCard(card(240, { table: tableOf(1) }))!.fault).toBeNull();
		expect(lobeOfCard(card(240, { table: tableOf(2) }))!.fault).toBe('odd-duration');
		expect(lobeOfCard(card(240, { table: tableOf(0.5) }))!.fault).toBe('odd-duration');
	});
});
