/** A head that came back: what was signed then beside what is read now. */
import { beforeAll, describe, expect, it } from 'vitest';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { diagnosis } from './support/pages/diagnosis.ts';
import { plan } from './support/pages/plan.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));

describe('an engine that is here again', () => {
	let path = '';
	it('leads from its page to then and now, where nothing was read yet', async () => {
		const { browser } = at;
		path = await browser.openJob('2424');
		await browser.go(`${path}/then`);
		await browser.sees('job 2402');
		await browser.sees('Nothing to compare yet');
		expect(await browser.faults()).toEqual([]);
	});
	it('tells what moved as soon as it is measured, and what that looks like', async () => {
		const { browser } = at;
		await browser.beginRound(path, 'installed-height');
		await browser.press('35.82', Key.ENTER);
		await browser.go(`${path}/then`);
		await browser.sees('Height +0.40 mm');
		expect(await browser.text('main [data-changed="1I"]')).toMatch(
			/^1I Height \+0\.40 mm Seat or valve face sank 0\.40 mm, .*pocket, locator or shim worn or left out 0\.40 mm/
		);
		await browser.click('All figures');
		await browser.sees('35.42 → 35.82');
		await browser.click('moved');
		await until(async () => !(await browser.text('main table')).includes('1E'));
		expect(await browser.faults()).toEqual([]);
	});
	it('takes what was looked at before anybody complains of anything', async () => {
		const { browser } = at;
		await browser.go(`${path}/diagnosis`);
		await browser.sees('No complaint recorded');
		await browser.click('Read a reference on the gauges', 'button');
		await diagnosis(browser).keepFindings();
		await until(async () => (await browser.text('main')).includes('RT'));
		expect(await browser.text('main')).not.toContain('Not known yet');
		expect(await browser.faults()).toEqual([]);
	});
	it('says what to do with each spring that has run, and why', async () => {
		const { browser } = at;
		const path = await browser.openJob('2423');
		await browser.go(`${path}/then`);
		await browser.sees('on another tester. Read a reference spring on both testers');
		await browser.click('Used springs: 12 not known yet');
		expect(await browser.text('[data-fate="4E"]')).toMatch(/^4E Not known yet tested on another/);
		// The reference reads the same on both: the springs lost all of it.
		await browser.go(`${path}/diagnosis`);
		await browser.click('All checks');
		await browser.click('Read a reference on the gauges', 'button');
		await browser.fill('Reference spring on the earlier tester', '150');
		await browser.fill('The same spring on today’s tester', '150');
		await diagnosis(browser).keepFindings();
		await browser.sees('Replace the springs at 4E');
		await browser.go(`${path}/then`);
		await browser.click('Used springs:');
		expect(await browser.text('[data-fate="4E"]')).toMatch(/^4E Replace lost more load than/);
		expect(await browser.text('[data-fate="3I"]')).toMatch(/^3I Reshim and keep shims restore/);
		expect(await browser.text('[data-fate="1I"]')).toMatch(/^1I Reuse in order .* 17 %$/);
		expect(await browser.faults()).toEqual([]);
	});
	it('is planned with new springs where one is out, beside what all new would cost', async () => {
		const { browser } = at;
		const path = await browser.openJob('2423');
		await browser.go(`${path}/plan`);
		await browser.sees('not used again: 4E');
		await browser.click('Place the 11 tested springs');
		await plan(browser).calculate();
		await browser.sees('all new springs');
		expect(await browser.text('[data-plan="4E"]')).toMatch(/T7 new/);
		expect(await browser.text('[data-plan="1I"]')).not.toContain('new');
		const sides = await browser.text('[aria-label="Spread of seat loads"]');
		expect(sides).toMatch(/all new springs \d+ \d+ \d+ 12 174\.00 100 %/);
		expect(sides).toMatch(/this plan \d+ \d+ \d+ 1 14\.50 17 %/);
		await plan(browser).accept();
		await plan(browser).accepted();
		await browser.go(`${path}/plan/picks`);
		expect(await browser.text('main')).toMatch(/New spring Fennick D-37 dual 1/);
		await browser.go(`${path}/plan`);
		await until(async () => !(await browser.text('main')).includes('not used again'));
		await browser.sees('23 in stock');
		// The one that was taken out is not offered to another valve.
		await browser.sees('Place the 11 tested springs');
		await browser.go(`${path}/then`);
		await browser.click('Used springs:');
		expect(await browser.text('[data-fate="4E"]')).toMatch(/^4E Replace .* 12\.7 %/);
		expect(await browser.faults()).toEqual([]);
	});
	it('is not told of a job whose engine was never here', async () => {
		const { browser } = at;
		await browser.go(`${await browser.openJob('2418')}/then`);
		await browser.sees('This engine has no signed sheet before this visit.');
	});
});
