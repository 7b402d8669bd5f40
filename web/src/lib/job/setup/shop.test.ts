import { describe, expect, it } from 'vitest';
import { defaultTexts, usualTexts } from './shop.ts';

describe('what applies where a shop says nothing', () => {
	it('is in the shop’s own units, half thousandths included', () => {
		expect(defaultTexts('in')).toMatchObject({
			'limits.bindFloor': '0.050 in',
			'limits.oneReading.height': '0.0015 in',
			'limits.oneReading.tester': '0.01',
			'limits.outlierMax': '0.0236 in',
			'limits.netSeatLoad': '45 lbf'
		});
		expect(defaultTexts('mm')).toMatchObject({
			'limits.oneReading.clay': '0.127 mm',
			'limits.outlierMax': '0.6 mm'
		});
	});
	it('is not written into new jobs, which go by the defaults of their day', () => {
		expect(usualTexts('in')['limits.oneReading.height']).toBe('');
	});
});
