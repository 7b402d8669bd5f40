/** The small parts: a state in shape and word, a scale, a field with its problem. */
import { describe, expect, it } from 'vitest';
import { message, scaleOf } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import Residuals from '$lib/parts/gauges/Residuals.svelte';
import PartsTable from '$lib/parts/library/PartsTable.svelte';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words } from '$lib/test/rendered';
import Mark from '$lib/ui/Mark.svelte';
import ReasonForm from '$lib/ui/ReasonForm.svelte';
import ScaleBar from '$lib/ui/ScaleBar.svelte';
import TextField from '$lib/ui/TextField.svelte';

const around = atBench(demoJob('2417-straight-six'));

describe('the mark of a state', () => {
	it('has a shape and a word of its own, and none where all is well', () => {
		const marks = (['stop', 'watch', 'inconclusive'] as const).map((state) =>
			markup(Mark, { state, word: true }, around)
		);
		expect(marks.map(words)).toEqual(['stop', 'watch', 'too close to call']);
		expect(new Set(marks.map((html) => /<(rect|path)[^>]*>/.exec(html)![0])).size).toBe(3);
		expect(markup(Mark, { state: 'clear' }, around).trim()).toBe('');
	});
	it('says its word to one who cannot see it, even without', () => {
		expect(markup(Mark, { state: 'stop' }, around)).toMatch(/sr-only[^>]*>\s*stop/);
	});
});

describe('a scale', () => {
	it('is drawn beside limits, and not without', () => {
		const scale = scaleOf(5, [{ side: 'floor', at: 4 }]);
		expect(markup(ScaleBar, { scale, state: 'clear' }, around)).toContain('linear-gradient');
		expect(markup(ScaleBar, { scale: null, state: 'clear' }, around)).not.toContain(
			'linear-gradient'
		);
	});
});

describe('a field', () => {
	it('is tied to its label, its hint and its problem', () => {
		const plain = markup(TextField, { label: 'Lift', value: '', hint: '0.540 in' }, around);
		const [, id] = /<label[^>]*for="([^"]*)"/.exec(plain)!;
		expect(plain).toContain(`id="${id}"`);
		expect(words(plain)).toBe('Lift 0.540 in');
		const problem = message('field.required');
		const wrong = markup(TextField, { label: 'Lift', value: '', problem }, around);
		expect(wrong).toContain('aria-invalid="true"');
		expect(words(wrong)).toContain(tell(problem));
		const [, description] = /aria-describedby="([^"]*)"/.exec(wrong)!;
		expect(wrong).toContain(`id="${description}"`);
	});
	it('for a reason asks before it is withdrawn', () => {
		const html = markup(
			ReasonForm,
			{ label: 'Reason to withdraw', onreason: () => undefined },
			around
		);
		expect(html).toContain('aria-label="Reason to withdraw"');
		expect(words(html)).toContain('Withdraw');
	});
});

describe('the residuals of a gauge', () => {
	it('are a mark a check, in the reader’s units', () => {
		const points = [
			{ at: 25.4, residual: 0.005 },
			{ at: 50.8, residual: -0.01 }
		];
		const html = markup(Residuals, { dimension: 'length', points }, around);
		expect(html.match(/<circle/g)).toHaveLength(2);
		expect(words(html)).toContain('1.000');
	});
});

describe('the library', () => {
	it('shows what parts of a type have, and what can be done with each', () => {
		const part = { id: 'x', name: 'Seven', offset: '0.050 in', angle: 7, stem: '8.7 mm' };
		const html = markup(
			PartsTable,
			{ type: 'locks', parts: [{ type: 'locks', part, stock: 24, retired: false }], find: '' },
			around
		);
		expect(words(html)).toMatch(/Seven .*24/);
		expect(html).toContain('/parts/x');
	});
	it('says that none is there, or none that was looked for', () => {
		const none = (find: string) =>
			words(markup(PartsTable, { type: 'locks', parts: [], find }, around));
		expect(none('')).not.toBe(none('zzz'));
		expect(none('')).toContain('Add one');
	});
});
