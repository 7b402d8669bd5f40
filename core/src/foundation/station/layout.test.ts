import { describe, expect, it } from 'vitest';
import { issue } from '../message/index.ts';
import { layoutProblem, stationsOf, type Layout } from './layout.ts';

const layout = (change: Partial<Layout>): Layout => ({
	arrangement: 'V',
	cylinders: 6,
	valvesPerCylinder: 2,
	numbering: 'bank-by-bank',
	pairing: 'mirrored',
	...change
});
const along = (change: Partial<Layout>, head = 'A') =>
	stationsOf(layout(change))
		.filter((station) => station.head === head)
		.map((station) => station.label)
		.join(' ');

describe('firing angles', () => {
	const twin: Layout = {
		arrangement: 'inline',
		cylinders: 2,
		valvesPerCylinder: 2,
		numbering: 'bank-by-bank',
		pairing: 'mirrored',
		firingOrder: [1, 2]
	};
	it.each([
		[[0, 180], undefined],
		[[0], issue('layout.angles-count')],
		[[90, 180], issue('layout.first-angle')],
		[[0, 720], issue('layout.angles-grow')]
	])('%j: %s', (firingAngles, text) => {
		expect(layoutProblem({ ...twin, firingAngles })?.text).toBe(text);
	});
});

describe('layouts of every type', () => {
	it('number the cylinders as the maker does', () => {
		const own = {
			numbering: 'custom',
			ownNumbers: [
				[2, 4, 6],
				[1, 3, 5]
			]
		} as const;
		expect(along(own)).toBe('2I 2E 4E 4I 6I 6E');
		expect(along(own, 'B')).toBe('1I 1E 3E 3I 5I 5E');
	});
	it('begin with the exhaust where the head does', () => {
		expect(along({ firstValve: 'exhaust' })).toBe('1E 1I 2I 2E 3E 3I');
		expect(along({ firstValve: 'exhaust', pairing: 'alternating' })).toBe('1E 1I 2E 2I 3E 3I');
	});
	it('turn the same casting round for the right head: what was last is first', () => {
		const turned = { rightHead: 'reversed' } as const;
		expect(along(turned, 'B')).toBe('4E 4I 5I 5E 6E 6I');
		expect(along({ ...turned, pairing: 'alternating' }, 'B')).toBe('4E 4I 5E 5I 6E 6I');
		const four = stationsOf(layout({ ...turned, valvesPerCylinder: 4 }));
		const row = (head: string) =>
			four.find((station) => station.head === head && station.kind === 'intake')!.across;
		expect([row('A'), row('B')]).toEqual([0, 1]);
	});
	it('have two intakes and one exhaust, or three and two', () => {
		const one = { arrangement: 'inline', cylinders: 1 } as const;
		expect(along({ ...one, valvesPerCylinder: 3 })).toBe('1Ia 1E 1Ib');
		expect(
			along({ ...one, valvesPerCylinder: 5 })
				.split(' ')
				.sort()
				.join(' ')
		).toBe('1Ea 1Eb 1Ia 1Ib 1Ic');
	});
});

describe('what makes no sense', () => {
	it.each([
		[{ cylinders: 5 }, 'cylinders', issue('layout.odd-cylinders')],
		[{ numbering: 'custom' }, 'ownNumbers', issue('layout.own-numbers', { perHead: 3, heads: 2 })],
		[
			{
				numbering: 'custom',
				ownNumbers: [
					[1, 2, 3],
					[3, 4, 5]
				]
			},
			'ownNumbers',
			issue('layout.each-once', { cylinders: 6 })
		],
		[{ firingOrder: [1, 2, 3] }, 'firingOrder', issue('layout.each-once', { cylinders: 6 })],
		[
			{ firingOrder: [1, 2, 3, 4, 5, 5] },
			'firingOrder',
			issue('layout.each-once', { cylinders: 6 })
		]
	] as const)('%j is refused at %s', (change, path, text) => {
		expect(layoutProblem(layout(change as Partial<Layout>))).toEqual({ path: [path], text });
	});
	it('a firing order with every cylinder once is taken', () => {
		expect(layoutProblem(layout({ firingOrder: [1, 4, 2, 5, 3, 6] }))).toBeNull();
	});
});
