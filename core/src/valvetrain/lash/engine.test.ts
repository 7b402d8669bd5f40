import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Reading } from '../../job/document/index.ts';
import { keyOf } from '../../foundation/message/index.ts';
import { inches, lengthOf, mm } from '../../foundation/units/index.ts';
import { changePerTurn, hotLash, turnsFor, usualGrowth } from './adjuster.ts';
import { commonDrift, driftRemarks, lashDrift } from '../../sheet/figures/index.ts';
import { exactShim, swapPlan, type Follower, type SwapStep } from '../on-job/lash/swap.ts';

describe('adjusters', () => {
	it('a turn moves the valve side by pitch, times what the rocker makes of it', () => {
		expect(changePerTurn('stud-nut', mm(1), 1.5)).toBeCloseTo(2.5);
		expect(changePerTurn('pushrod-end', mm(1), 1.5)).toBeCloseTo(1.5);
		expect(changePerTurn('valve-end', mm(1), 1.5)).toBeCloseTo(1);
	});
	it('turns close what is too wide and open what is too tight', () => {
		expect(turnsFor(mm(0.5), mm(0.4), mm(2))).toBeCloseTo(0.05);
		expect(turnsFor(mm(0.3), mm(0.4), mm(2))).toBeCloseTo(-0.05);
	});
});

describe('growth', () => {
	it('starts from what heads and blocks usually do', () => {
		expect(usualGrowth('iron', 'iron')).toBeCloseTo(inches(-0.002));
		expect(usualGrowth('aluminium', 'iron')).toBeCloseTo(inches(0.006));
		expect(usualGrowth('aluminium', 'aluminium')).toBeCloseTo(inches(0.012));
		expect(usualGrowth('iron', 'aluminium')).toBeNull();
	});
	it('hot is cold and growth', () => {
		expect(hotLash(inches(0.014), inches(0.006))).toBeCloseTo(inches(0.02));
	});
});

describe('drift', () => {
	const limits = { watch: lengthOf('0.003 in'), stop: lengthOf('0.006 in') };
	const read = (figure: string, day: number, as?: 'found' | 'set', engine = 'cold') =>
		({
			id: String(day),
			read: figure,
			gauge: { name: 'feelers', resolution: '0.001 in', correction: '0 mm' },
			at: `2026-03-${10 + day}T08:00:00Z`,
			engine,
			...(as && { lash: { as, marked: false } })
		}) as Reading;
	const remarksOn = (drift: ReturnType<typeof lashDrift>) =>
		driftRemarks(drift, limits).map(({ state, text }) => [state, keyOf(text)]);

	it('is what was found less what was set, in the same state of the engine', () => {
		const drift = lashDrift([read('0.019 in', 2, 'found'), read('0.014 in', 1, 'set')]);
		expect(drift).toBeCloseTo(inches(0.005));
		expect(remarksOn(drift)).toEqual([['watch', 'lash.opened {"by":0.127}']]);
	});
	it('is not told of a lash that was set, nor between cold and hot', () => {
		expect(lashDrift([read('0.019 in', 2, 'set'), read('0.014 in', 1, 'set')])).toBeNull();
		expect(lashDrift([read('0.019 in', 2, 'found', 'hot'), read('0.014 in', 1, 'set')])).toBeNull();
		expect(lashDrift([read('0.019 in', 2, 'found')])).toBeNull();
		expect(lashDrift([])).toBeNull();
	});
	it('is quiet to the limit, a watch above it, a stop from twice that', () => {
		expect(remarksOn(lengthOf('0.003 in'))).toEqual([]);
		expect(remarksOn(lengthOf('0.004 in'))[0]![0]).toBe('watch');
		expect(remarksOn(lengthOf('0.006 in'))[0]![0]).toBe('stop');
		expect(remarksOn(lengthOf('-0.006 in'))[0]).toEqual(['stop', 'lash.closed {"by":0.152}']);
	});
	it('the same way at most valves is laid to warmth or gauge first', () => {
		const four = [0.004, 0.005, 0.004, 0.001].map(inches);
		expect(commonDrift(four, limits)).toHaveLength(1);
		expect(commonDrift([...four.slice(0, 2), inches(-0.004), inches(0.001)], limits)).toEqual([]);
		expect(commonDrift(four.slice(0, 3), limits)).toEqual([]);
	});
});

describe('swap plan', () => {
	const follower = (label: string, shim: number, measured: number): Follower => ({
		label,
		shim: mm(shim),
		measured: mm(measured),
		wanted: mm(0.3),
		tolerance: mm(0.03)
	});
	it('the exact shim is the old one and what lash is too wide', () => {
		expect(exactShim(follower('1I', 2.5, 0.4))).toBeCloseTo(2.6);
	});
	it('swaps two in the engine rather than take new ones', () => {
		const plan = swapPlan(
			[follower('1I', 2.5, 0.4), follower('1E', 2.6, 0.2)],
			[
				{ thickness: mm(2.5), count: 4 },
				{ thickness: mm(2.6), count: 4 }
			]
		);
		expect(plan.map(({ from }) => from)).toEqual([
			{ type: 'station', label: '1E' },
			{ type: 'station', label: '1I' }
		]);
		expect(plan[0]!.lash).toBeCloseTo(0.3);
	});
	it('leaves what is within tolerance, takes from the shelf, and names what to order', () => {
		const plan = swapPlan(
			[follower('1I', 2.5, 0.32), follower('1E', 2.5, 0.5), follower('2I', 2.5, 0.9)],
			[{ thickness: mm(2.7), count: 1 }]
		);
		expect(plan.map(({ from, shim }) => [from.type, shim])).toEqual([
			['stays', 2.5],
			['stock', 2.7],
			['order', 3.1]
		]);
	});

	/** Every way to give shims out, the best by the same order of wishes. */
	function bruteForce(
		followers: readonly Follower[],
		stock: readonly { thickness: ReturnType<typeof mm>; count: number }[]
	) {
		const pool = [
			...followers.map(({ shim, label }) => ({ shim, label: label as string | null })),
			...stock.flatMap(({ thickness, count }) =>
				Array.from({ length: count }, () => ({ shim: thickness, label: null }))
			)
		];
		let best: number[] | null = null;
		const walk = (i: number, used: Set<number>, score: number[]) => {
			if (i === followers.length) {
				if (!best || isLess(score, best)) best = score;
				return;
			}
			const one = followers[i]!;
			pool.forEach(({ shim, label }, at) => {
				const off = Math.abs(exactShim(one) - shim);
				if (used.has(at) || Math.round(off * 1e4) / 1e4 > one.tolerance) return;
				const add = [
					0,
					label === null ? 1 : 0,
					label !== null && label !== one.label ? 1 : 0,
					Math.round(off * 1000)
				];
				walk(
					i + 1,
					new Set([...used, at]),
					score.map((sum, k) => sum + add[k]!)
				);
			});
			const exact = exactShim(one);
			const ordered = Math.round(Math.abs(exact - Math.round(exact / 0.05) * 0.05) * 1000);
			walk(
				i + 1,
				used,
				score.map((sum, k) => sum + [1, 0, 0, ordered][k]!)
			);
		};
		walk(0, new Set(), [0, 0, 0, 0]);
		return best!;
	}
	const isLess = (a: readonly number[], b: readonly number[]) => {
		const at = a.findIndex((value, i) => value !== b[i]);
		return at >= 0 && a[at]! < b[at]!;
	};
	const scored = (followers: readonly Follower[], plan: readonly SwapStep[]) => [
		plan.filter(({ from }) => from.type === 'order').length,
		plan.filter(({ from }) => from.type === 'stock').length,
		plan.filter(({ from }) => from.type === 'station').length,
		plan.reduce(
			(sum, { shim }, i) => sum + Math.round(Math.abs(exactShim(followers[i]!) - shim) * 1000),
			0
		)
	];
	it('is as good as the best of every way to give shims out', () => {
		const size = fc.integer({ min: 46, max: 56 }).map((n) => mm(n / 20));
		fc.assert(
			fc.property(
				fc.array(fc.tuple(size, fc.integer({ min: 10, max: 50 })), { minLength: 1, maxLength: 5 }),
				fc.array(fc.record({ thickness: size, count: fc.integer({ min: 0, max: 2 }) }), {
					maxLength: 2
				}),
				(pairs, stock) => {
					const followers = pairs.map(([shim, lash], i) => follower(`${i + 1}I`, shim, lash / 100));
					const plan = swapPlan(followers, stock);
					expect(scored(followers, plan)).toEqual(bruteForce(followers, stock));
					const moved = plan.flatMap(({ from }) => (from.type === 'station' ? [from.label] : []));
					expect(new Set(moved).size).toBe(moved.length);
				}
			),
			{ numRuns: 300 }
		);
	});
});
