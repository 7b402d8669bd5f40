import { describe, expect, it } from 'vitest';
import { readSince, sinceTexts } from './since';

describe('what happened since', () => {
	it('is what was typed; the rest is not known', () => {
		expect(readSince({ hours: ' 41.5 ', highestSpeed: '7,800', changed: '' })).toEqual({
			ok: true,
			since: { hours: 41.5, highestSpeed: 7800 }
		});
		expect(readSince({})).toEqual({ ok: true, since: {} });
		expect(readSince({ overSpeed: '0' })).toEqual({ ok: true, since: { overSpeed: 0 } });
	});
	it('is refused at its field', () => {
		const read = readSince({ hours: 'a season', runs: '2.5', complaint: 'slow', kilometres: '-1' });
		expect(!read.ok && Object.keys(read.problems).toSorted()).toEqual([
			'complaint',
			'hours',
			'kilometres',
			'runs'
		]);
		expect(!read.ok && read.problems.hours).toMatch(/number/);
	});
	it('can be typed over', () => {
		const since = { id: '', person: '', at: '', hours: 3, complaint: 'misfire' as const };
		expect(sinceTexts(since)).toMatchObject({ hours: '3', complaint: 'misfire', runs: '' });
		expect(sinceTexts(null).hours).toBe('');
	});
});
