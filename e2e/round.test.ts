/** From taking a head in to its heights, with the keyboard alone. */
import { describe, expect, it } from 'vitest';
import { query, until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { assembly } from './support/pages/assembly.ts';
import { form } from './support/pages/form.ts';
import { newJob } from './support/pages/new-job.ts';
import { outbox } from './support/pages/outbox.ts';
import { parts } from './support/pages/parts.ts';
import { round } from './support/pages/round.ts';
import { setup } from './support/pages/setup.ts';
import { shop } from './support/pages/shop.ts';

const at = visit('demo');

/** What is typed at each station, by cylinder, and how it is kept. */
const HEIGHTS = [
	['1818', '1.818 in'],
	['1.821', '1.821 in'],
	['1,824', '1.824 in'],
	['1817', '1.817 in'],
	['1.815', '1.815 in'],
	['1822', '1.822 in'],
	['1826', '1.826 in'],
	['1867', '1.867 in'],
	['1819', '1.819 in'],
	['1.820', '1.820 in'],
	['46.2 mm', '46.2 mm'],
	['1823', '1.823 in']
] as const;

describe('a head from take-in to heights', () => {
	let path = '';

	it('is taken in from the keyboard', async () => {
		const { browser } = at;
		await browser.workAs('Runa Tarn');
		await browser.press('n');
		await browser.sees('New job');
		await browser.ready();
		await newJob(browser).customer('Brann Osk');
		await newJob(browser).engine('Haldric 3.4 straight six');
		await newJob(browser).openHeads();
		await newJob(browser).cylinders('6');
		await browser.fill('firingOrder', '1-5-3-6-2-4');
		await (await browser.field('Customer')).sendKeys(Key.ENTER);
		path = await browser.takenIn();
		await browser.sees('2427');
	});

	it('takes its lift from typing, copied to the exhausts', async () => {
		const { browser } = at;
		await browser.go(`${path}/setup`);
		const intake = (field: string) => `kinds.intake.${field}`;
		await browser.fill(intake('lift.lobe'), '360');
		await browser.fill(intake('lift.ratio'), '1.5');
		await browser.fill(intake('lash.setting'), '14');
		await browser.fill(intake('lash.tolerance'), '2');
		await browser.click('Copy to exhaust');
		await setup(browser).save();
		await setup(browser).saved();
		expect(await browser.text('nav')).toContain('intake: no spring');
	});

	it('takes its parts from the shop’s library', async () => {
		const { browser } = at;
		await browser.go(`${path}/parts`);
		for (const kind of ['intake', 'exhaust']) {
			await browser.fill(`${kind}: Spring`, 'Fennick D-37 dual');
			await browser.fill(`${kind}: Retainer`, 'Ostrel R-11, steel, dual');
			await browser.fill(`${kind}: Locks`, 'Ostrel 10° standard');
			await browser.fill(`${kind}: Locator`, 'Ostrel inside locator 0.060');
			await browser.fill(`${kind}: Seal`, 'Pellow stem seal 11/32 low');
		}
		await outbox(browser).unsaved();
		await form(browser).save();
		await parts(browser).findSpring();
		await shop(browser).toSheet();
		await browser.sees('Measure next');
	});

	it('goes round twelve heights by keypad, each with its verdict at once', async () => {
		const { browser } = at;
		await browser.ready();
		await browser.press('h');
		await round(browser).readingsPerValve('1');
		await browser.begin();
		await browser.sees('12 of 12 left');
		for (const [i, [typed, read]] of HEIGHTS.entries()) {
			await browser.press(typed);
			await browser.sees(`Read as ${read}`);
			expect(await browser.text('main dl')).toMatch(/Seat load (watch )?\d{3}/);
			if (read === '1.867 in') await browser.sees('stop Shim 0.030 + 0.015');
			await browser.press(Key.ENTER);
			if (i < HEIGHTS.length - 1) await browser.sees(`${11 - i} of 12 left`);
		}
		await round(browser).allTwelve();
	});

	it('has them all after a reload, as they were read', async () => {
		const { browser, app } = at;
		await browser.press(Key.ENTER);
		await parts(browser).bindFloor();
		await until(async () => !(await browser.text()).includes('unsent'));
		const before = await browser.text('tbody');
		await browser.go(path);
		expect(await browser.text('tbody')).toBe(before);
		expect(before).toContain('1.867');
		expect(before).toContain('1.819');
		const rows = (await query(app, `select read from reading where job_id = $1 order by position`, [
			path.split('/')[2]
		])) as { read: string }[];
		expect(rows.map((row) => row.read)).toEqual(HEIGHTS.map(([, read]) => read));
	});

	it('switches units without touching what was read', async () => {
		const { browser, app } = at;
		await browser.benchMenu();
		await browser.click('mm', 'button');
		await browser.sees('46.18');
		await browser.click('N', 'button');
		await browser.go(path);
		expect(await browser.text('tbody')).toContain('46.18');
		const kept = await query(app, `select 1 from reading where read = '1.818 in' and job_id = $1`, [
			path.split('/')[2]
		]);
		expect(kept).toHaveLength(1);
		await browser.benchMenu();
		await browser.click('in', 'button');
		await browser.click('lbf', 'button');
		await browser.press(Key.ESCAPE);
	});

	it('goes to a station by typing its name, and back in a round by Backspace', async () => {
		const { browser } = at;
		await browser.press('4', 'e');
		await assembly(browser).asksForShims();
		expect(await browser.text('aside h2')).toContain('4E');
		await browser.press('g');
		await round(browser).asksFirst();
		await browser.press('1', Key.ENTER);
		await browser.find('main input[aria-describedby="understood"]:focus');
		await browser.press('630', Key.ENTER);
		await round(browser).elevenLeft();
		await browser.press(Key.BACK_SPACE);
		await browser.sees('Current 0.630 in');
		await browser.press(Key.ESCAPE);
		await parts(browser).bindFloor();
	});

	it('fits the shims it suggests, and the sheet follows', async () => {
		const { browser } = at;
		await browser.ready();
		await browser.press('4', 'e');
		await browser.click('Record these shims');
		await browser.sees('Shims 0.030 + 0.015');
		expect(await browser.text('[data-row="4E"]')).toContain('1.822');
	});

	it('strikes a reading with a reason, and keeps it', async () => {
		const { browser } = at;
		await browser.press('1', 'i');
		await browser.sees('1.818 in');
		await browser.click('Void 1.818 in');
		await browser.press('gauge slipped', Key.ENTER);
		await browser.sees('voided by RT: gauge slipped');
		expect(await browser.text('[data-row="1I"]')).not.toContain('1.818');
	});
});
