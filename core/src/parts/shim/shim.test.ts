import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches, mm } from '../../foundation/units/index.ts';
import { stacks, suggestShims, usableShims, type ShimQuestion } from './shim.ts';

const question = (change: Partial<ShimQuestion>): ShimQuestion => ({
	unshimmed: inches(1.867),
	present: [],
	aim: inches(1.82),
	lowest: inches(1.731),
	stock: [0.015, 0.03, 0.06].map((size) => ({ thickness: inches(size), count: 9 })),
	max: 2,
	deadBand: inches(0.01),
	...change
});

describe('shims for one station', () => {
	it('fits the stack that comes closest, thickest first', () => {
		const answer = suggestShims(question({}));
		expect(answer).toMatchObject({ type: 'fit', shims: [inches(0.03), inches(0.015)] });
		expect(answer.type === 'fit' && answer.height).toBeCloseTo(inches(1.822), 9);
	});

	it('leaves a station inside the dead band', () => {
		expect(suggestShims(question({ unshimmed: inches(1.83) }))).toEqual({
			type: 'leave',
			why: 'dead-band'
		});
	});

	it('does not propose what does not bring it closer', () => {
		expect(suggestShims(question({ unshimmed: inches(1.8) }))).toEqual({
			type: 'leave',
			why: 'nothing-closer'
		});
	});

	it('keeps to the bind floor even where another stack is nearer the aim', () => {
		const answer = suggestShims(question({ lowest: inches(1.83) }));
		expect(answer).toMatchObject({ type: 'fit', shims: [inches(0.03)] });
	});

	it('rounds to the side that keeps the margin’s aim: 1.760, not the nearer 1.745', () => {
		// bind 1.132 + lift 0.560 + cushion 0.060 = aim 1.752; 1.775 − 0.030 = 1.745 leaves 0.053
		const cushion = { unshimmed: inches(1.775), aim: inches(1.752), lowest: inches(1.742) };
		expect(suggestShims(question(cushion))).toMatchObject({ shims: [inches(0.03)] });
		expect(suggestShims(question({ ...cushion, lowestAim: inches(1.752) }))).toMatchObject({
			shims: [inches(0.015)]
		});
		const none = question({
			...cushion,
			lowestAim: inches(1.752),
			stock: [{ thickness: inches(0.03), count: 9 }]
		});
		expect(suggestShims(none)).toEqual({ type: 'leave', why: 'nothing-closer' });
	});

	it('adds up sizes listed twice, and leaves those that cannot lie there', () => {
		const size = (inside: number, count: number) => ({
			thickness: inches(0.03),
			count,
			inside: inches(inside),
			outside: inches(1.4)
		});
		const stock = [size(0.65, 2), size(0.65, 3), size(0.5, 9)];
		const room = { boss: inches(0.6), pocket: inches(1.5) };
		expect(usableShims(stock, room)).toEqual([{ thickness: inches(0.03), count: 5 }]);
		expect(usableShims(stock, {})).toEqual([{ thickness: inches(0.03), count: 14 }]);
		expect(usableShims(stock, { pocket: inches(1.3) })).toEqual([]);
	});

	it('takes shims out when the present ones break the floor', () => {
		const answer = suggestShims(
			question({ unshimmed: inches(1.8), present: [inches(0.06)], lowest: inches(1.75) })
		);
		expect(answer).toMatchObject({ type: 'fit', shims: [] });
	});

	it('says so when nothing holds the floor', () => {
		expect(suggestShims(question({ lowest: inches(1.9) }))).toEqual({ type: 'no-room' });
	});

	it('uses no more of a size than there are', () => {
		const stock = [{ thickness: mm(0.75), count: 1 }];
		expect(stacks(stock, 3)).toEqual([[], [stock[0]]]);
	});

	it('agrees with trying every stack', () => {
		const sizes = fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 4 });
		fc.assert(
			fc.property(
				sizes,
				fc.integer({ min: -8, max: 60 }),
				fc.integer({ min: 0, max: 3 }),
				(tenths, off, max) => {
					const stock = tenths.map((tenth) => ({ thickness: mm(tenth / 10), count: 2 }));
					const aim = mm(40);
					const unshimmed = mm(40 + off / 20);
					const answer = suggestShims(
						question({ unshimmed, aim, lowest: null, stock, max, deadBand: mm(0.2) })
					);
					const offs = stacks(stock, max).map((stack) =>
						Math.abs(unshimmed - stack.reduce((sum, { thickness }) => sum + thickness, 0) - aim)
					);
					const best = Math.min(...offs);
					const now = Math.abs(unshimmed - aim);
					if (answer.type === 'fit') {
						expect(Math.abs(answer.height - aim)).toBeCloseTo(best, 9);
						expect(best).toBeLessThan(now);
					} else expect(now <= 0.2 + 1e-9 || best >= now - 1e-9).toBe(true);
				}
			)
		);
	});
});
