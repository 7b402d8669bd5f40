/**
 * Every page of a job: whole at every width from a phone to a wide bench, no serious fault for
 * axe in either scheme, every control reached by Tab, and nothing shown raw.
 */
import { beforeAll, describe, expect, it } from 'vitest';
import { pagesOfJob } from './support/every-page.ts';
import { visit } from './support/visit.ts';
import { missedByTab, wrongAtWidths } from './support/widths.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));

describe('the pages of a straight six', () => {
	it('are whole at every width, have nothing serious for axe, and are reached by Tab', async () => {
		const { browser } = at;
		const wrong: string[] = [];
		for (const page of pagesOfJob(await browser.openJob('2417'))) {
			wrong.push(...(await wrongAtWidths(browser, page)));
			wrong.push(...(await browser.rawValues()).map((value) => `${page} shows ${value}`));
			wrong.push(...(await missedByTab(browser)).map((html) => `${page}: no Tab to ${html}`));
		}
		// The bars around it, once for all of them.
		wrong.push(...(await missedByTab(browser, 'body')));
		expect(wrong).toEqual([]);
	});
	it.each(['2409', '2421', '2405', '2411', '2402'])(
		'of job %s its sheet and its round are whole at every width too',
		async (number) => {
			const { browser } = at;
			const job = await browser.openJob(number);
			const wrong: string[] = [];
			for (const page of [job, `${job}/round?of=installed-height`]) {
				wrong.push(...(await wrongAtWidths(browser, page)));
			}
			expect(wrong).toEqual([]);
		}
	);
});
