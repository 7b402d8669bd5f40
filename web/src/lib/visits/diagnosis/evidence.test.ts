import { describe, expect, it } from 'vitest';
import { METRIC } from '@zinc-ledger/core';
import { Bench } from '$lib/bench/bench.svelte';
import { evidenceText, figureText, marksSeen, readReference, valvesTyped } from './evidence';

const metric = new Bench(null, METRIC);
const by = (
	value: number,
	of: { moved: 'height' | 'load' } | { figure: 'bindMargin' | 'controlLimit' }
) => ({
	surely: 1,
	stations: ['3I'],
	by: { station: '3I', value, ...of }
});

describe('evidence in words and figures', () => {
	it('tells a change with its sign and a margin as it is', () => {
		expect(figureText(by(0.5, { moved: 'height' }), metric)).toBe('3I +0.50 mm');
		expect(figureText(by(-40, { moved: 'load' }), metric)).toBe('3I −40 N');
		expect(figureText(by(0.71, { figure: 'bindMargin' }), metric)).toBe('3I 0.71 mm');
		expect(figureText(by(6412.4, { figure: 'controlLimit' }), metric)).toBe('3I 6,410 rpm');
		expect(figureText({ surely: 1, stations: [], by: null }, metric)).toBe('');
	});
	it('has a place for photos of each mark that was seen, or is on one already', () => {
		const look = (evidence: 'hammered-tips' | 'blue-rocker', stations?: string[]) => ({
			id: '',
			check: 'look-under-cover' as const,
			seen: [{ evidence, ...(stations && { stations }) }],
			person: '',
			at: ''
		});
		const second = { ...look('blue-rocker'), seen: [{ evidence: 'over-speed-event' as const }] };
		expect(marksSeen([look('hammered-tips', ['1E']), look('blue-rocker'), second], [])).toEqual([
			{ evidence: 'hammered-tips', stations: ['1E'] },
			{ evidence: 'blue-rocker', stations: [] }
		]);
		// Looked at again and not seen any more, it keeps its photos.
		expect(marksSeen([], ['hammered-tips'])).toEqual([{ evidence: 'hammered-tips', stations: [] }]);
	});
	it('says where a mark was seen, and that it was looked for and is not there', () => {
		const look = {
			id: '',
			check: 'look-under-cover' as const,
			seen: [{ evidence: 'hammered-tips' as const, stations: ['1E', '2E'] }],
			person: '',
			at: ''
		};
		const found = { 'hammered-tips': 1, 'blue-rocker': 0 };
		const text = (code: 'hammered-tips' | 'blue-rocker') =>
			evidenceText(code, { byFigures: {}, found }, [look], metric);
		expect(text('hammered-tips')).toBe('hammered tips (1E 2E)');
		expect(text('blue-rocker')).toBe('not: heat-blued rocker or tip');
	});
	it('takes a reference spring that was read on both testers, or none', () => {
		expect(readReference('', ' ', 'lbf')).toEqual({ ok: true, loads: undefined });
		expect(readReference('132', '127.5', 'lbf')).toEqual({
			ok: true,
			loads: { then: '132 lbf', now: '127.5 lbf' }
		});
		expect(readReference('132', '', 'lbf').ok).toBe(false);
		expect(readReference('heavy', '127', 'lbf').ok).toBe(false);
	});
	it('knows valves as they are typed', () => {
		expect(valvesTyped(' 1i, 2E 9X', ['1I', '2E'])).toEqual({
			stations: ['1I', '2E'],
			unknown: ['9X']
		});
	});
});
