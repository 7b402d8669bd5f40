import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createRawSnippet, type Component } from 'svelte';
import { render } from 'svelte/server';
import { afterEach, describe, expect, it, vi } from 'vitest';
import Alert from './Alert.svelte';
import Button from './Button.svelte';
import Checkbox from './Checkbox.svelte';
import Progress from './Progress.svelte';
import Select from './Select.svelte';
import SelectField from './SelectField.svelte';
import Suggest from './Suggest.svelte';
import { matching, plain, recentlyUsed, used } from './options.ts';

const shown = <P extends object>(of: Component<P>, props: P) =>
	render(of as never, { props } as never).body.replace(/<!--.*?-->/gs, '');
const says = (text: string) => createRawSnippet(() => ({ render: () => `<span>${text}</span>` }));
const few = plain(['left', 'right']);

describe('what is pressed', () => {
	it('submits its form as in HTML, unless it is told otherwise', () => {
		expect(shown(Button, { children: says('Save') })).toContain('type="submit"');
		expect(shown(Button, { type: 'button', children: says('Back') })).toContain('type="button"');
	});
	it('is a link where it has an address', () => {
		const html = shown(Button, { href: '/parts', children: says('Parts') });
		expect(html).toMatch(/^<a [^>]*href="\/parts"/);
		expect(html).not.toContain('type=');
	});
});

describe('one of a few', () => {
	it('shows what is chosen and sends it with its form', () => {
		const html = shown(Select, {
			options: few,
			value: 'right',
			name: 'head',
			'aria-label': 'Head'
		});
		expect(html).toContain('role="combobox"');
		expect(html).toContain('aria-label="Head"');
		expect(html).toMatch(/<span class="[^"]*truncate">right</);
		expect(html).toContain('<input type="hidden" name="head" value="right"');
	});
	it('has its label and its problem tied to it', () => {
		const html = shown(SelectField, { label: 'Head', options: few, value: '', problem: 'Choose.' });
		const id = /<label for="([^"]+)"/.exec(html)![1]!;
		expect(html).toContain(`id="${id}"`);
		expect(html).toContain(`aria-describedby="${id}-about"`);
		expect(html).toMatch(/aria-invalid="true"/);
	});
});

describe('other parts', () => {
	it('a text of one’s own is sent by its field', () => {
		const html = shown(Suggest, { known: ['Brann Osk'], value: 'Bra', name: 'customer' });
		expect(html).toMatch(/<input[^>]*name="customer"/);
		expect(html).toMatch(/<input[^>]*value="Bra"/);
	});
	it('a box says whether it is ticked, its words are its label', () => {
		const html = shown(Checkbox, { checked: true, children: says('internal') });
		const id = /<label for="([^"]+)"/.exec(html)![1]!;
		expect(html).toContain(`id="${id}"`);
		expect(html).toContain('aria-checked="true"');
	});
	it('nothing is told where nothing went wrong', () => {
		expect(shown(Alert, { problem: null })).not.toContain('alert');
		expect(shown(Alert, { problem: 'No.' })).toContain('role="alert"');
	});
	it('nothing to do is no progress, and no broken bar', () => {
		expect(shown(Progress, { label: 'Done', value: 0, max: 0 })).toContain('width: 0%');
		expect(shown(Progress, { label: 'Done', value: 3, max: 12 })).toContain('width: 25%');
	});
});

describe('lists that are searched', () => {
	const options = [
		{ value: '1', label: 'Tarn beehive 1.320' },
		{ value: '2', label: 'Osk dual', note: 'none in stock' }
	];
	it('hold every word, in any order, in name or note', () => {
		expect(matching(options, '1.32 tarn').map(({ value }) => value)).toEqual(['1']);
		expect(matching(options, 'stock').map(({ value }) => value)).toEqual(['2']);
		expect(matching(options, ' ')).toHaveLength(2);
		expect(matching(options, 'tarn dual')).toEqual([]);
	});
	const kept = new Map<string, string>();
	afterEach(() => vi.unstubAllGlobals());
	it('remember what was used last, the newest first, four of them, none twice', () => {
		vi.stubGlobal('localStorage', {
			getItem: (key: string) => kept.get(key) ?? null,
			setItem: (key: string, value: string) => kept.set(key, value)
		});
		for (const one of ['a', 'b', 'c', 'a', 'd', 'e']) used('spring', one);
		expect(recentlyUsed('spring')).toEqual(['e', 'd', 'a', 'c']);
		expect(recentlyUsed('locks')).toEqual([]);
		kept.set('zinc-used-spring', 'no JSON');
		expect(recentlyUsed('spring')).toEqual([]);
	});
	it('remember nothing where nothing can be kept', () => {
		vi.stubGlobal('localStorage', undefined);
		expect(() => used('spring', 'a')).not.toThrow();
		expect(recentlyUsed('spring')).toEqual([]);
	});
});

describe('controls', () => {
	const source = join(import.meta.dirname, '../..');
	const pages = readdirSync(source, { recursive: true, encoding: 'utf8' }).filter(
		(name) => name.endsWith('.svelte') && !name.startsWith(join('lib', 'ui'))
	);
	it('are the kit’s everywhere: no page makes or styles one by hand', () => {
		const own =
			/<(select|datalist|details|button|textarea|dialog|progress|meter)\b|<input(?![^>]*type="hidden")|class="[^"{]*\b(button|field)\b|from 'bits-ui'/g;
		const found = pages.flatMap((name) =>
			[...readFileSync(join(source, name), 'utf8').matchAll(own)].map(
				([text]) => `${name}: ${text}`
			)
		);
		expect(pages.length).toBeGreaterThan(80);
		expect(found).toEqual([]);
	});
});
