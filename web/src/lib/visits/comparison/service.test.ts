import { describe, expect, it } from 'vitest';
import { alike, batchText, dueText, fateCounts, lifeText, limitText, ranText } from './service';

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
	it('says how many heads are due, and which of them are over', () => {
		const due = (head: string, used: number) => ({ head, used });
		expect(dueText([])).toMatch(/^No head is due/);
		expect(dueText([due('a', 0.8), due('a', 0.75)])).toBe(
			'1 head has run 70 % of a part’s life or more'
		);
		expect(dueText([due('a', 1.1), due('b', 0.9)])).toBe(
			'2 heads have run 70 % of a part’s life or more, 1 over it'
		);
	});
	it('says what may be run, and what a batch lost', () => {
		expect(limitText({ hours: 60, runs: 120, overSpeed: 0.1 })).toBe(
			'60 h, 120 runs, an over-speed costs 10 %'
		);
		expect(limitText({})).toBe('none');
		const ran = { hours: 20, runs: 0, kilometres: 0 };
		const lost = { batch: '7C', sets: 6, lost: 0.041, spread: 0.0076, ...ran };
		expect(batchText(lost)).toBe('batch 7C: lost 4.1 ± 0.8 % in 20 h, 6 sets');
		expect(batchText({ ...lost, batch: null, sets: 1, spread: null })).toBe(
			'without a batch: lost 4.1 % in 20 h, 1 set'
		);
	});
	it('counts what becomes of springs', () => {
		const of = (...fates: ('reuse' | 'replace' | 'reshim')[]) =>
			fateCounts(fates.map((fate) => ({ fate })));
		expect(of('replace', 'reuse', 'reuse', 'reshim')).toBe('2 reuse, 1 reshim and keep, 1 replace');
		expect(of()).toBe('');
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
