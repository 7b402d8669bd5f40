/** docs/worked-example.md on screen: the sheet shows what was worked out by hand. */
import { resolve } from 'node:path';
import { expect, it } from 'vitest';
import { visit } from './support/visit.ts';

const at = visit('own');

it('shows every figure of the worked example to the last digit', async () => {
	const { browser } = at;
	await browser.go('/');
	await browser.sees('Five steps to the first signed sheet');
	await browser.sees('There is no job yet.');
	await (await browser.find('input[type=file]')).sendKeys(resolve('docs/worked-example.json'));
	await browser.sees('One-cylinder example');
	await browser.sees('Coil bind');
	const row = await browser.text('[data-row="1I"]');
	expect(row).toMatch(/^1I 1\.784 watch 146 363 0\.084 0\.060 0\.019 watch Take the shims out$/);
	// Loads and margin stand on the card of a spring that nobody tested, and say so.
	expect(await browser.all('[data-row="1I"] [aria-label="by its card"]')).toHaveLength(3);
	const station = await browser.text('aside[aria-label="Chosen station"]');
	for (const shown of [
		'target 1.800',
		'Bare height 1.859',
		'Locator 0.060',
		'Shims 0.015',
		'Locks standard',
		'Binds first inner',
		'Energy at full lift 19.4 J',
		'height 1.799 seat 140 open 357 bind margin 0.099'
	]) {
		expect(station).toContain(shown);
	}
});
