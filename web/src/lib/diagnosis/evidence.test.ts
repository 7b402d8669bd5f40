import { describe, expect, it } from 'vitest';
import { METRIC } from '@zinc-ledger/core';
import { Bench } from '$lib/bench/bench.svelte';
import { evidenceText, figureText, valvesTyped } from './evidence';

const metric = new Bench(null, METRIC);
const by = (trace: 'height' | 'load' | 'bindMargin' | 'controlLimit', value: number) => ({
	surely: 1,
	stations: ['3I'],
	by: { station: '3I', trace, value }
});

describe('evidence in words and figures', () => {
	it('tells a change with its sign and a margin as it is', () => {
		expect(figureText(by('height', 0.5), metric)).toBe('3I +0.50 mm');
		expect(figureText(by('load', -40), metric)).toBe('3I −40 N');
		expect(figureText(by('bindMargin', 0.71), metric)).toBe('3I 0.71 mm');
		expect(figureText(by('controlLimit', 6412.4), metric)).toBe('3I 6412 rpm');
		expect(figureText({ surely: 1, stations: [], by: null }, metric)).toBe('');
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
		expect(text('blue-rocker')).toBe('not: blue rocker or tip');
	});
	it('knows valves as they are typed', () => {
		expect(valvesTyped(' 1i, 2E 9X', ['1I', '2E'])).toEqual({
			stations: ['1I', '2E'],
			unknown: ['9X']
		});
	});
});
