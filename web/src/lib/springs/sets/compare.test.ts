/** Two springs compared: what stands on a side, and their table. */
import { describe, expect, it } from 'vitest';
import { lengthOf, mm, type SpringCard } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words } from '$lib/test/rendered';
import ComparisonTable from './ComparisonTable.svelte';
import { compareAddress, sideOf, type Found } from './compare';

const job = demoJob('2417-straight-six');
const card = job.setup.kinds.intake.spring as SpringCard;
const around = atBench(job);
around.bench.units = { length: 'in', load: 'lbf' };

describe('a side', () => {
	it('is a card’s line with its bind, at its own height', () => {
		const side = sideOf({ type: 'card', card })!;
		expect(side.height).toBe(lengthOf(card.seat.height));
		expect(side.bind).toBe(lengthOf(card.tested?.bind ?? card.bind!));
	});
	it('is nothing where none of a set was tested', () => {
		const set = { name: 'Twelve', seat: '1.8 in', build: undefined };
		const springs = [{ id: 'T1', tag: 'T1', measured: {}, sweeps: [] }];
		expect(sideOf({ type: 'set', set, springs, tag: null })).toBeNull();
	});
	it('is asked for by its set, its tag and its card', () => {
		const set = { id: 's', card: { id: 'c' }, seat: '1.820 in', lift: '0.540 in' };
		expect(
			Object.fromEntries(new URLSearchParams(compareAddress(set, 'T3').split('?')[1]))
		).toEqual({ a: 'card.c', b: 'set.s.T3', height: '1.820 in', lift: '0.540 in' });
	});
});

describe('the table of two', () => {
	const stronger: Found = {
		type: 'card',
		card: {
			...card,
			tested: undefined,
			name: 'Stronger',
			seat: { height: '1.82 in', load: '140 lbf' },
			open: { height: '1.28 in', load: '340 lbf' },
			bind: '1.18 in'
		}
	};
	const weaker: Found = {
		...stronger,
		card: { ...stronger.card, name: 'Weaker', seat: { height: '1.82 in', load: '125 lbf' } }
	};
	const pair = [sideOf(weaker)!, sideOf(stronger)!] as const;
	const text = (lifts: number[], step: number, heights = [1.82, 1.82]) =>
		words(
			markup(
				ComparisonTable,
				{
					pair: pair.map((side, i) => ({ ...side, height: mm(heights[i]! * 25.4) })) as never,
					lifts: lifts.map((lift) => mm(lift * 25.4)),
					step: mm(step * 25.4)
				},
				around
			)
		);
	it('has loads, what differs and its part, rate and margin at both lifts', () => {
		const table = text([0.5, 0.54], 0.1);
		expect(table).toMatch(/Seat lbf 125 140 \+15 \+12\.0 %/);
		expect(table).toMatch(/Open at 0\.540 lbf 340 340 \+0 0\.0 %/);
		expect(table).toMatch(/Bind margin at 0\.540 0\.100 0\.100/);
		expect(table).toMatch(/1\.720 0\.100 165 177/);
	});
	it('has no heights of its rows where each stands at its own', () => {
		expect(text([0.5], 0.1, [1.82, 1.8])).toMatch(/at the same lift/);
	});
	it('says that a step is too small', () => {
		expect(text([0.5], 0.001)).toContain('more rows than anybody reads');
	});
});
