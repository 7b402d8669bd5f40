/**
 * Every page of four jobs that differ, with its main button pressed: the browser reports
 * nothing, and a plan that takes the solver comes out optimal.
 */
import { beforeAll, describe, expect, it } from 'vitest';
import { pagesOfJob } from './support/every-page.ts';
import { visit } from './support/visit.ts';
import { pressMainButton } from './support/widths.ts';
import { plan } from './support/pages/plan.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));

describe('pages of jobs that differ', () => {
	it.each([
		['a six with tested springs', '2404'],
		['buckets', '2409'],
		['a head in the car', '2411'],
		['a return visit', '2423']
	])('%s: every page, its main button pressed, and nothing reported', async (_, number) => {
		const { browser } = at;
		const reported: string[] = [];
		for (const page of pagesOfJob(await browser.openJob(number))) {
			await browser.go(page);
			await pressMainButton(browser);
			reported.push(...(await browser.reported()).map((what) => `${page}: ${what}`));
		}
		expect(reported).toEqual([]);
	});
});

describe('a plan that takes the solver', () => {
	it.each(['2404', '2408', '2415', '2422'])('of job %s is optimal', async (number) => {
		const { browser } = at;
		await browser.go(`${await browser.openJob(number)}/plan`);
		await plan(browser).calculate();
		await plan(browser).optimal();
	});
});
