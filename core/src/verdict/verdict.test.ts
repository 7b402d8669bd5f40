import { describe, expect, it } from 'vitest';
import { inches, newtons } from '../units/quantity.ts';
import { judge, notMeasured, worst, type Limit, type Source } from './verdict.ts';
import type { Millimetres } from '../units/quantity.ts';

const floor: Limit<Millimetres> = {
	name: 'bind floor',
	side: 'floor',
	at: inches(0.05),
	severity: 'stop'
};
const aim: Limit<Millimetres> = { ...floor, name: 'bind aim', at: inches(0.06), severity: 'watch' };

const against = (figure: number, uncertainty = 0, sources: Source[] = ['measured', 'card']) =>
	judge(inches(figure), {
		sort: 'length',
		limits: [floor, aim],
		sources,
		uncertainty,
		remedy: (limit) => [limit.name]
	});

describe('a verdict', () => {
	it('carries figure, limit, difference and sources', () => {
		const verdict = against(0.045);
		expect(verdict).toMatchObject({ state: 'stop', limit: floor, remedy: ['bind floor'] });
		expect(verdict.difference).toBeCloseTo(-0.127, 4);
		expect(verdict.sources).toEqual(['measured', 'card']);
	});

	it('passes at exactly the limit', () => {
		expect(against(0.06).state).toBe('clear');
		expect(against(0.0599).state).toBe('watch');
		expect(against(0.05).state).toBe('watch');
	});

	it('is too close to call within its uncertainty, on either side of a stop', () => {
		expect(against(0.0503, 0.02).state).toBe('too close');
		expect(against(0.0497, 0.02).state).toBe('too close');
		expect(against(0.04, 0.02).state).toBe('stop');
	});

	it('names the nearest limit when clear', () => {
		expect(against(0.08).limit).toBe(aim);
		expect(against(0.08).remedy).toEqual([]);
	});

	it('is never clear on a told or remembered figure alone', () => {
		expect(against(0.08, 0, ['measured', 'told']).state).toBe('watch');
		expect(against(0.08, 0, ['memory']).remedy[0]).toMatch(/from memory: confirm/);
		expect(against(0.04, 0, ['told']).state).toBe('stop');
	});

	it('compares loads to a hundredth of a newton', () => {
		const limit: Limit<ReturnType<typeof newtons>> = {
			name: 'greatest',
			side: 'ceiling',
			at: newtons(500),
			severity: 'watch'
		};
		const state = (load: number) =>
			judge(newtons(load), {
				sort: 'load',
				limits: [limit],
				sources: [],
				remedy: () => []
			}).state;
		expect([state(500.004), state(500.01)]).toEqual(['clear', 'watch']);
	});

	it('is never clear of what is no finite number', () => {
		for (const figure of [Number.POSITIVE_INFINITY, Number.NaN, Number.NEGATIVE_INFINITY]) {
			expect(against(figure)).toMatchObject({ state: 'not measured', figure: null });
			expect(against(0.08, figure).state).toBe('not measured');
			const limit = { ...floor, at: figure as Millimetres };
			const verdict = judge(inches(0.08), {
				sort: 'length',
				limits: [limit],
				sources: [],
				remedy: () => []
			});
			expect(verdict.state).toBe('not measured');
		}
	});

	it('says what is missing where there is no figure', () => {
		expect(notMeasured(['no lift'])).toMatchObject({ state: 'not measured', remedy: ['no lift'] });
	});
});

describe('the worst of several states', () => {
	it('goes clear, not measured, watch, too close, stop', () => {
		expect(worst(['clear', 'stop', 'watch'])).toBe('stop');
		expect(worst(['watch', 'too close'])).toBe('too close');
		expect(worst(['clear', 'not measured'])).toBe('not measured');
		expect(worst(['clear'])).toBe('clear');
	});
	it('is not measured for nothing at all', () => {
		expect(worst([])).toBe('not measured');
	});
});
