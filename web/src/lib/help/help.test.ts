/** What is marked on the drawing of an explanation. */
import { describe, expect, it } from 'vitest';
import { render } from 'svelte/server';
import { HELP_TOPICS, helpOf } from '@zinc-ledger/words/help';
import Drawing from './Drawing.svelte';
import { AT, isAtLift, markOf } from './drawing.ts';

describe('the drawing of an explanation', () => {
	it.each(HELP_TOPICS)('marks %s within the stack, and says so', (topic) => {
		const mark = markOf(topic);
		if (mark.type === 'across') expect(mark.width).toBeGreaterThan(0);
		else if (mark.type !== 'force') {
			expect(mark.from).toBeLessThan(mark.to);
			expect(mark.from).toBeGreaterThanOrEqual(AT.rocker);
			expect(mark.to).toBeLessThanOrEqual(AT.piston);
		}
		const html = render(Drawing, { props: { topic } }).body;
		expect(html).toContain(helpOf(topic).title);
		expect(html).toContain('stroke-stop');
	});
	it('has the valve open where a margin at full lift is meant', () => {
		expect(isAtLift('bindMargin')).toBe(true);
		expect(isAtLift('sealClearance')).toBe(true);
		expect(isAtLift('openLoad')).toBe(true);
		expect(isAtLift('height')).toBe(false);
		expect(isAtLift('seatLoad')).toBe(false);
	});
});
