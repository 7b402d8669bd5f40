/** Every page that is of no job, looked at as the pages of a job are. */
import { beforeAll, describe, expect, it } from 'vitest';
import { NOT_HERE, otherPages } from './support/every-page.ts';
import { visit } from './support/visit.ts';
import { missedByTab, pressMainButton, wrongAtWidths } from './support/widths.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));

describe('the pages of the shop', () => {
	it('are whole at every width, have nothing serious for axe, are reached by Tab, and report nothing', async () => {
		const { browser } = at;
		const wrong: string[] = [];
		for (const page of await otherPages(at.app)) {
			wrong.push(...(await wrongAtWidths(browser, page)));
			wrong.push(...(await browser.rawValues()).map((value) => `${page} shows ${value}`));
			wrong.push(...(await missedByTab(browser)).map((html) => `${page}: no Tab to ${html}`));
			await pressMainButton(browser);
			wrong.push(...(await browser.reported()).map((what) => `${page} reports ${what}`));
		}
		expect(wrong).toEqual([]);
	});
	it('a page that is not there says so, and is whole', async () => {
		const { browser } = at;
		for (const page of ['/nowhere', ...NOT_HERE.map((path) => path.replace('[token]', 'x'))]) {
			browser.expects(/status of 404/);
			expect(await wrongAtWidths(browser, page)).toEqual([]);
			expect(await browser.text(), page).toMatch(/404|not|no such/i);
			expect(await browser.reported()).toEqual([]);
		}
	});
});
