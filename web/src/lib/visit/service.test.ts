import { describe, expect, it } from 'vitest';
import { alike, lifeText, ranText } from './service';

const ran = { hours: 41.5, runs: 0, kilometres: 1200, over_speed: 0 };
describe('service as it is shown', () => {
	it('tells what was told and leaves out what was not', () => {
		expect(ranText(ran)).toBe('41.5 h, 1,200 km');
		expect(ranText({ ...ran, hours: 0, kilometres: 0, runs: 1, over_speed: 2 })).toBe(
			'1 run, over-sped 2 ×'
		);
		expect(ranText({ hours: 0, runs: 0, kilometres: 0, over_speed: 0 })).toBe('nothing told');
	});
	it('says where a life is over, and where it has no limit', () => {
		expect([null, 0.62, 1.04].map(lifeText)).toEqual(['no limit', '62 %', '104 %: over']);
	});
	it('has what ran alike in one row', () => {
		const spring = { ...ran, part: 'spring' as const, name: 'Single', used: 0.5 };
		const rows = alike([
			{ ...spring, station: '1I' },
			{ ...spring, station: '2I' },
			{ ...spring, station: '1E', hours: 3 }
		]);
		expect(rows.map(({ stations }) => stations)).toEqual([['1I', '2I'], ['1E']]);
	});
});
