/** Explanations: one for every figure, found by any of their words. */
import { describe, expect, it } from 'vitest';
import { FIGURE_NAMES } from '@zinc-ledger/core';
import { HELP_TOPICS, helpLike, helpOf } from './help.ts';

describe('explanations', () => {
	it.each(FIGURE_NAMES)('there is one of %s, with what is forgotten', (name) => {
		const { title, what, how, forgotten } = helpOf(name);
		for (const says of [title, what, how, forgotten]) expect(says).toMatch(/^\p{Lu}.*[\p{L}.]$/u);
		expect(new Set([what, how, forgotten]).size).toBe(3);
	});
	it('are found by any of their words, those of that name first', () => {
		expect(helpLike('locator')[0]).toBe('locator');
		expect(helpLike('locator')).toContain('height');
		expect(helpLike('paint mark')).toEqual(['lash']);
		expect(helpLike('nothing of the kind')).toEqual([]);
		expect(helpLike('')).toHaveLength(HELP_TOPICS.length);
	});
});
