/** A template of an engine through its page and back. */
import { describe, expect, it } from 'vitest';
import { defaultSetup, INCH_POUND, type Template } from '@zinc-ledger/core';
import { USUAL_ENGINES } from '$lib/job/setup/take-in';
import { templateFrom, textsOfTemplate } from './form.ts';

const setup = defaultSetup('in', '');
setup.kinds.intake.rocker = { name: 'Cast rocker', ratio: 1.5, nose: 'pad' };
setup.kinds.intake.pocket = { diameter: '1.550 in' };
const template: Template = {
	id: '00000000-0000-7000-8000-000000000001',
	name: 'Six',
	layout: USUAL_ENGINES[2]!.layout as Template['layout'],
	setup
};
const texts = textsOfTemplate(template);
const read = (change: Record<string, string> = {}) =>
	templateFrom({ ...texts, ...change }, template, INCH_POUND);

describe('a template', () => {
	it('comes back from its page as it went in, with what the page does not show', () => {
		expect(read()).toEqual({ ok: true, template });
	});
	it('takes new rockers by their ratio, and a firing order', () => {
		const changed = read({ 'kinds.intake.rocker.ratio': '1,6', firingOrder: '1-5-3-6-2-4' });
		expect(changed).toMatchObject({
			ok: true,
			template: {
				layout: { firingOrder: [1, 5, 3, 6, 2, 4] },
				setup: { kinds: { intake: { rocker: { ratio: 1.6 }, pocket: { diameter: '1.550 in' } } } }
			}
		});
		expect(changed.ok && changed.template.setup.kinds.intake.rocker?.nose).toBeUndefined();
	});
	it('names what is wrong at its field', () => {
		const problems = (change: Record<string, string>) => {
			const changed = read(change);
			return changed.ok ? [] : Object.keys(changed.problems);
		};
		expect(problems({ firingOrder: '1-1-3-6-2-4' })).toContain('firingOrder');
		expect(problems({ name: '' })).toEqual(['name']);
		expect(problems({ 'kinds.exhaust.rocker.ratio': 'long' })).toEqual([
			'kinds.exhaust.rocker.ratio'
		]);
		expect(problems({ 'kinds.intake.pocket.diameter': 'wide' })).toEqual([
			'kinds.intake.pocket.diameter'
		]);
	});
});
