import { describe, expect, it } from 'vitest';
import { stateClass } from './state.ts';
import { byPercent, capital, moment, shortDate } from './words.ts';

describe('words', () => {
	it('dates are the same on server and in browser', () => {
		expect(shortDate('2026-11-02T23:30:00.000Z')).toBe('2 Nov');
		expect(moment('2026-11-02T12:30:00.000Z')).toMatch(/2 Nov 2026/);
	});
	it('more and less have their sign, nothing has none', () => {
		expect([0.024, -0.126, -0.0004, 0].map(byPercent)).toEqual([
			'+2.4 %',
			'−12.6 %',
			'0.0 %',
			'0.0 %'
		]);
	});
	it('begin with a capital', () => expect(capital('seal gaps')).toBe('Seal gaps'));
	it('a clear figure is plain ink, each other state has its own', () => {
		expect(stateClass('clear')).toBe('');
		const others = (['watch', 'inconclusive', 'stop', 'not-measured'] as const).map(stateClass);
		expect(new Set(others).size).toBe(4);
	});
});
