import { describe, expect, it } from 'vitest';
import { HELP_TOPICS, helpOf } from '@zinc-ledger/words/help';
import { TRADE } from './trade';

const html = TRADE.map((page) => page.html).join('');
const places = new Set([...html.matchAll(/ id="([^"]+)"/g)].map(([, place]) => place!));

describe('the page of formulas', () => {
	it('has every page with its title', () => {
		expect(TRADE.map(({ title }) => title)).toContain('Springs');
		for (const page of TRADE) expect(page.html).toContain(`id="${page.place}"`);
	});
	it('has every place that the help leads to', () => {
		for (const topic of HELP_TOPICS) {
			const { formula } = helpOf(topic);
			expect(places.has(formula), formula).toBe(true);
		}
	});
	it('shows the working and the figures of a worked line, and no code', () => {
		expect(html).toContain('<td>1.800 − 0.550 − 1.190 = 0.060</td><td>0.060 in</td>');
		expect(html).not.toMatch(/bind-margin|byBind|<td>in lbf/);
		expect(html).not.toContain('core/src');
	});
	it('sets an index as one', () => {
		expect(html).toContain('h<sub>m</sub>');
		expect(html).not.toMatch(/\b[A-Za-z]_\w/);
	});
});
