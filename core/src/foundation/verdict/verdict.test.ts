import { describe, expect, it } from 'vitest';
import { inches, newtons, type Millimetres } from '../units/index.ts';
import { message } from '../message/index.ts';
import { judge, notMeasured, worst, type Limit, type From, type Source } from './verdict.ts';

const floor: Limit<Millimetres> = {
	code: 'bind-floor',
	side: 'floor',
	at: inches(0.05),
	severity: 'stop'
};
const aim: Limit<Millimetres> = { ...floor, code: 'bind-aim', at: inches(0.06), severity: 'watch' };

const against = (
	figure: number,
	uncertainty = 0,
	sources: readonly (Source | From)[] = ['measured', 'card']
) =>
	judge(inches(figure), {
		dimension: 'length',
		limits: [floor, aim],
		sources,
		uncertainty,
		remedy: (limit) => message('name', { name: limit.code })
	});

describe('a verdict', () => {
	it('carries figure, limit, difference and sources', () => {
		const verdict = against(0.045);
		expect(verdict).toMatchObject({
			state: 'stop',
			limit: floor,
			remedy: message('name', { name: 'bind-floor' })
		});
		expect(verdict.difference).toBeCloseTo(-0.127, 4);
		expect(verdict.sources).toEqual(['measured', 'card']);
	});

	it('passes at exactly the limit', () => {
		expect(against(0.06).state).toBe('clear');
		expect(against(0.0599).state).toBe('watch');
		expect(against(0.05).state).toBe('watch');
	});

	it('is too close to call within its uncertainty, on either side of a stop', () => {
		expect(against(0.0503, 0.02).state).toBe('inconclusive');
		expect(against(0.0497, 0.02).state).toBe('inconclusive');
		expect(against(0.04, 0.02).state).toBe('stop');
	});

	it('names the nearest limit when clear', () => {
		expect(against(0.08).limit).toBe(aim);
		expect(against(0.08).remedy).toBeNull();
	});

	it('is never clear on a told or remembered figure alone', () => {
		expect(against(0.08, 0, ['measured', 'customer']).state).toBe('watch');
		expect(against(0.08, 0, ['recalled']).remedy).toEqual(
			message('figure.unconfirmed', { source: 'recalled', of: null })
		);
		const lift = { of: 'lift', source: 'customer' } as const;
		const verdict = against(0.08, 0, ['measured', lift]);
		expect(verdict.remedy).toEqual(
			message('figure.unconfirmed', { source: 'customer', of: 'lift' })
		);
		expect(verdict.sources).toEqual(['measured', 'customer']);
		expect(against(0.04, 0, ['customer']).state).toBe('stop');
	});

	it('compares loads to a hundredth of a newton', () => {
		const limit: Limit<ReturnType<typeof newtons>> = {
			code: 'max-open-load',
			side: 'ceiling',
			at: newtons(500),
			severity: 'watch'
		};
		const state = (load: number) =>
			judge(newtons(load), {
				dimension: 'load',
				limits: [limit],
				sources: [],
				remedy: () => null
			}).state;
		expect([state(500.004), state(500.01)]).toEqual(['clear', 'watch']);
	});

	it('is never clear of what is no finite number', () => {
		for (const figure of [Number.POSITIVE_INFINITY, Number.NaN, Number.NEGATIVE_INFINITY]) {
			expect(against(figure)).toMatchObject({ state: 'not-measured', figure: null });
			expect(against(0.08, figure).state).toBe('not-measured');
			const limit = { ...floor, at: figure as Millimetres };
			const verdict = judge(inches(0.08), {
				dimension: 'length',
				limits: [limit],
				sources: [],
				remedy: () => null
			});
			expect(verdict.state).toBe('not-measured');
		}
	});

	it('says what is missing where there is no figure', () => {
		const needs = [message('need.lift'), message('need.bind')];
		expect(notMeasured(needs)).toMatchObject({
			state: 'not-measured',
			needs,
			remedy: { params: { of: needs } }
		});
	});
});

describe('the worst of several states', () => {
	it('goes clear, not measured, watch, too close, stop', () => {
		expect(worst(['clear', 'stop', 'watch'])).toBe('stop');
		expect(worst(['watch', 'inconclusive'])).toBe('inconclusive');
		expect(worst(['clear', 'not-measured'])).toBe('not-measured');
		expect(worst(['clear'])).toBe('clear');
	});
	it('is not measured for nothing at all', () => {
		expect(worst([])).toBe('not-measured');
	});
});
