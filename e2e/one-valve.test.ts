/** One valve in the car, from air on to signed; and one head of a V whose other is elsewhere. */
import { beforeAll, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { query, until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { assembly as assemblyPage } from './support/pages/assembly.ts';
import { newJob } from './support/pages/new-job.ts';
import { outbox } from './support/pages/outbox.ts';
import { checks } from './support/pages/checks.ts';
import { round } from './support/pages/round.ts';
import { setup } from './support/pages/setup.ts';
import { sign } from './support/pages/sign.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));
const stored = async (path: string) => {
	const { body } = await at.browser.api('GET', `/api${path}`);
	return (body as { job: Job }).job;
};

describe('one valve in the car', () => {
	let path = '';
	const main = () => at.browser.text('main');
	const count = async () => Number(/(\d+) of 24 steps/.exec(await main())![1]);

	it('is chosen in the setup, which stays where one was', async () => {
		const { browser } = at;
		path = await browser.openJob('2417');
		await browser.go(`${path}/setup`);
		await setup(browser).workLocation('in the vehicle');
		await setup(browser).kindsHere('1x');
		await setup(browser).save();
		await outbox(browser).notSaved();
		await setup(browser).kindsHere('1i');
		await setup(browser).save();
		await setup(browser).saved();
		expect((await stored(path)).setup.atHand).toEqual(['1I']);
		await browser.go(path);
		await browser.sees('Worked on: 1I. The rest is not looked at.');
	});
	it('is stripped, chosen and built under the air, from the first count to the last', async () => {
		const { browser } = at;
		await browser.go(`${path}/assembly`);
		await browser.sees('0 of 24 steps');
		while (!(await main()).includes('Built: all 24 steps are done.')) {
			const before = await count();
			if ((await browser.all('form input[placeholder="2"]')).length > 0)
				await assemblyPage(browser).counted('2');
			const isFound = (await main()).includes('Save, spring is off');
			await browser.click(isFound ? 'Save, spring is off' : 'Done', 'button');
			await until(async () => /all 24 steps/.test(await main()) || (await count()) > before);
		}
		const { assembly, asFound } = await stored(path);
		expect(assembly.map(({ step }) => step).slice(0, 4)).toEqual([
			'count-out',
			'dead-centre',
			'crankshaft',
			'air'
		]);
		expect(asFound.map(({ station }) => station)).toEqual(['1I']);
	});
	it('is measured as built and signed, the rest not looked at', async () => {
		const { browser } = at;
		await browser.beginRound(path, 'built-height');
		await browser.press('1818', Key.ENTER);
		await round(browser).allOne();
		await browser.go(`${path}/sign`);
		await browser.sees('worked on: 1I');
		await browser.click('Built', 'label');
		await browser.sees('The vacuum test (in the car: leak-down)');
		await browser.go(`${path}/checks`);
		await checks(browser).leakDown('4');
		await browser.press(Key.ENTER);
		await until(async () => (await stored(path)).checks.length === 1);
		await browser.go(`${path}/sign`);
		await browser.click('Built', 'label');
		await browser.find('[role=radio][data-value=built][aria-checked=true]');
		await sign(browser).nothingBlocks();
		await sign(browser).sign();
		await sign(browser).firstSheetIsCurrent();
		const [{ content }] = (await query(
			at.app,
			'select content from signed_sheet where job_id = $1',
			[path.slice('/jobs/'.length)]
		)) as [{ content: string }];
		expect(JSON.parse(content).signing.scope).toMatchObject({ name: 'built', stations: ['1I'] });
		await browser.go(`${path}/paper`);
		await browser.sees('1E not looked at');
		expect((await main()).match(/not looked at/g)).toHaveLength(11);
	});
});

describe('one head of a V with alternating numbers', () => {
	let path = '';
	it('is taken in alone', async () => {
		const { browser } = at;
		await browser.go('/jobs/new');
		await newJob(browser).customer('Ferrin Dale');
		await newJob(browser).engine('Orveld 5.7, one head');
		await newJob(browser).openHeads();
		await browser.fill('arrangement', 'V');
		await newJob(browser).cylinders('8');
		await browser.fill('numbering', 'alternating: 1 3 5 | 2 4 6');
		await browser.fill('headsHere', 'the right head');
		await newJob(browser).create();
		path = await browser.takenIn();
		const { heads, stations } = await stored(path);
		expect(heads.map(({ name }) => name)).toEqual(['right head']);
		expect(stations.map(({ cylinder }) => cylinder)).toEqual([2, 2, 4, 4, 6, 6, 8, 8]);
	});
	it('is walked and printed by its own numbers', async () => {
		const { browser } = at;
		await browser.beginRound(path, 'seal-gap');
		await browser.press('0.620', Key.ENTER);
		await browser.sees('7 of 8 left; then 4I');
		await browser.go(`${path}/paper`);
		expect(await browser.text('table')).toMatch(/2I .*2E .*4I .*4E .*6I .*6E .*8I .*8E/);
		expect(await browser.faults()).toEqual([]);
	});
});
