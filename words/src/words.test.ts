import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
	evaluate,
	INCH_POUND,
	inches,
	message,
	METRIC,
	openItems,
	poundsForce,
	stagesOf,
	type Message
} from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import type { Language } from './catalogue.ts';
import { en } from './en/index.ts';
import {
	CODES,
	fieldText,
	joined,
	label,
	labelDomains,
	labelsOf,
	length,
	load,
	phraseOf,
	problemText,
	ruleWords,
	say,
	showPhrase,
	tell,
	write,
	partsCalled
} from './index.ts';

/** Every message that stands anywhere in a value. */
function messagesIn(value: unknown): Message[] {
	if (typeof value !== 'object' || value === null) return [];
	const own = 'code' in value && CODES.includes(value.code as never) ? [value as Message] : [];
	return [...own, ...Object.values(value).flatMap(messagesIn)];
}

/** All that the demo's jobs have to say, each once. */
function examples(): Message[] {
	const all = readdirSync('demo/jobs').flatMap((file) => {
		const read = readJob(readFileSync(`demo/jobs/${file}`, 'utf8'));
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		const sheet = evaluate(read.value);
		const { fitContexts: _, ...own } = sheet;
		return messagesIn([own, openItems(read.value, sheet), stagesOf(read.value, sheet, null)]);
	});
	return [...new Map(all.map((one) => [JSON.stringify(one), one])).values()];
}

/** Values that are kept as codes and called something else. */
const CODED = new Set(
	labelDomains.flatMap((of) =>
		Object.entries(labelsOf(of))
			.filter(([value, text]) => value.includes('-') && !text.includes(value))
			.map(([value]) => value)
	)
);

describe('a phrase', () => {
	const stack = joined([[length(inches(0.03))], [length(inches(0.015))]], ' + ');
	const phrase = say`Shim ${stack}, seat ${load(poundsForce(130))} at ${2} places`;
	it('is read by each in their own units', () => {
		expect(showPhrase(phrase, INCH_POUND)).toBe('Shim 0.030 + 0.015, seat 130 lbf at 2 places');
		expect(showPhrase(phrase, METRIC)).toBe('Shim 0.76 + 0.38, seat 578 N at 2 places');
	});
});

describe('the catalogue', () => {
	it('does not compile with a sentence missing, or one too many', () => {
		const { 'need.height': _, ...short } = en.sentences;
		// @ts-expect-error a code without words
		const missing: Language['sentences'] = short;
		// @ts-expect-error words without a code
		const superfluous: Language['sentences'] = { ...en.sentences, 'need.nothing': 'nothing' };
		// @ts-expect-error a value without a name
		const unnamed: Language['labels']['state'] = { clear: 'clear', watch: 'watch', stop: 'stop' };
		expect(CODES).toContain('need.height');
		expect(Object.keys(missing)).toHaveLength(Object.keys(superfluous).length - 2);
		expect(unnamed).not.toHaveProperty('inconclusive');
	});
	it('says all that the demo’s jobs have to say, in words and never in codes', () => {
		const messages = examples();
		expect(messages.length).toBeGreaterThan(80);
		for (const one of messages) {
			const text = write(one, METRIC);
			expect(text, JSON.stringify(one)).toMatch(/\S/);
			expect(text).not.toMatch(/undefined|NaN|\[object| {2}/);
			if (/[.-]/.test(one.code)) expect(text).not.toContain(one.code);
			const raw = (text.match(/[a-z]+(-[a-z]+)+/g) ?? []).filter((word) => CODED.has(word));
			expect(raw, text).toEqual([]);
		}
	});
	it('has no figure in it that is not the reader’s', () => {
		const differs = examples().filter((one) => write(one, METRIC) !== write(one, INCH_POUND));
		expect(differs.length).toBeGreaterThan(20);
		const measured = examples().filter((one) =>
			phraseOf(one).some((part) => typeof part !== 'string')
		);
		expect(differs.map(({ code }) => code).toSorted()).toEqual(
			measured.map(({ code }) => code).toSorted()
		);
	});
	it('names no value by its code', () => {
		for (const of of labelDomains)
			for (const text of Object.values(labelsOf(of))) expect(CODED.has(text), text).toBe(false);
		expect(label('quantity', 'seal-gap')).toBe('seal gap');
		expect(ruleWords('lock-angle').title).toMatch(/\S/);
	});
});

describe('what is wrong', () => {
	it('with a field is told whether a schema wrote it, the server or nobody', () => {
		const says = message('field.min', { min: -45, unit: '°' });
		expect(tell(says)).toBe('Must be at least −45°');
		expect(fieldText(says)).toBe(tell(says));
		expect(fieldText(`§field.min ${JSON.stringify({ min: -45, unit: '°' })}`)).toBe(tell(says));
		expect(fieldText('as the server put it')).toBe('as the server put it');
		expect(fieldText(null)).toBeUndefined();
	});
	it('with a file has its place', () => {
		const text = message('field.required');
		expect(problemText({ path: 'readings[3].read', text })).toBe('readings[3].read: Required');
		expect(problemText({ path: '', line: 7, text })).toBe('line 7: Required');
		expect(problemText({ path: '', text })).toBe('the file: Required');
	});
	it('nothing, says nothing', () => expect(write(null, METRIC)).toBe(''));
});

describe('other words for parts', () => {
	it.each([
		['keeper', ['locks']],
		['Collets', ['locks']],
		['spacer', ['shim']],
		['tappet', ['follower-shim', 'lifter']],
		['lock', ['locks']],
		['cup', ['locator']],
		['ke', []],
		['brackel', []]
	])('%s is found as %j', (word, types) => expect(partsCalled(word)).toEqual(types));
});
