/** That the rules of eslint.codes.js find English that decides, names or is kept. */
import { Linter } from 'eslint';
import { parser } from 'typescript-eslint';
import { describe, expect, it } from 'vitest';
import { restrictions } from '../../eslint.codes.js';

const linter = new Linter();
const found = (code: string) =>
	linter.verify(
		code,
		{
			files: ['**/*.ts'],
			languageOptions: { parser },
			rules: { 'no-restricted-syntax': ['error', ...restrictions] }
		},
		'checked.ts'
	);

describe('English is found', () => {
	it.each([
		["if (remark.text === 'Lash moved on its own') act();", 'in a branch'],
		["switch (limit.name) { case 'bind margin': act(); }", 'in a branch'],
		["text.startsWith('Lash moved')", 'in a branch'],
		["if (list.includes('seat load')) act();", 'in a branch'],
		["const names = { 'seat load': 1 };", 'as a key'],
		["figures['seat load']", 'as a key'],
		["interface Figures { 'seat load': number }", 'as a key'],
		["type State = 'clear' | 'too close';", 'chosen from a list'],
		["z.enum(['told', 'its own casting'])", 'chosen from a list'],
		["const ALL = ['told', 'its own casting'] as const;", 'chosen from a list'],
		['if (write(remark.text, units) === before) act();', 'compared'],
		['accepted[tell(problem)] = true;', 'compared'],
		['const by = { [write(text, units)]: 1 };', 'compared'],
		["tell(problem).startsWith('Lash')", 'compared'],
		['seen.has(write(text, units))', 'compared'],
		['new Map([[write(text, units), finding]])', 'compared'],
		["switch (label('state', state)) { default: act(); }", 'compared']
	])('in %s', (code, says) => {
		const messages = found(code).map(({ message }) => message);
		expect(messages).not.toEqual([]);
		expect(messages[0]).toContain(says);
	});
});

describe('what is meant is left alone', () => {
	it.each([
		"if (remark.text.code === 'lash.moved') act();",
		"const label = { title: 'Seat load', says: write(text, units) };",
		"figures['seat-load']; type Unit = 'N/mm';",
		'show(`Sheet of job ${number}`, write(text, units));'
	])('%s', (code) => expect(found(code)).toEqual([]));
});
