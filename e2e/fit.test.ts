/** Whether the parts fit each other, as a machinist meets it: choose, read, mend, accept. */
import { beforeAll, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { query, until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { form } from './support/pages/form.ts';
import { notes } from './support/pages/notes.ts';
import { outbox } from './support/pages/outbox.ts';
import { parts } from './support/pages/parts.ts';
import { round } from './support/pages/round.ts';
import { setup as setupPage } from './support/pages/setup.ts';
import { shop } from './support/pages/shop.ts';

const at = visit('demo');
let path = '';
beforeAll(async () => {
	await at.browser.workAs('Runa Tarn');
	path = await at.browser.openJob('2417');
});

const finding = (rule: string, place: string) =>
	at.browser.text(`[data-finding="${rule} ${place}"]`);
const row = (label: string) => at.browser.text(`[data-row="${label}"]`);

describe('three rules while parts are chosen', () => {
	beforeAll(() => at.browser.go(`${path}/parts`));

	it('locks of another taper, and locks that fit, offered', async () => {
		const { browser } = at;
		await parts(browser).intakeLocks('Ostrel 7° square');
		await browser.sees('locks 7°, retainer 10°');
		expect(await finding('lock-angle', 'Intake')).toContain('Locks: Ostrel 10° standard');
		await browser.click('Locks: Ostrel 10° standard');
		await until(async () => (await finding('lock-angle', 'Intake')) === '');
	});
	it('a seal that the inner spring would hang on', async () => {
		const { browser } = at;
		await browser.fill('exhaust: Seal', 'Pellow stem seal 11/32 wide');
		await browser.sees('spring ID 0.725, seal OD 0.700: clearance 0.025, min 0.040');
		expect(await finding('inner-spring-to-seal', 'Exhaust')).toContain('stop');
	});
	it('a bare titanium tip', async () => {
		const { browser } = at;
		await browser.fill('exhaust: Valve', 'Vesprin 5/16 titanium exhaust');
		await browser.sees('titanium valve, plain tip, no lash cap');
		expect(await finding('stem-diameter', 'Exhaust')).toContain('valve 0.313');
	});
	it('nothing of it is kept until it is kept', async () => {
		const { browser } = at;
		await outbox(browser).unsaved();
		await browser.go(`${path}/parts`);
		expect(await finding('titanium-tip', 'Exhaust')).toBe('');
	});
});

describe('another lock set', () => {
	it('moves findings, tip heights, seal clearances and heights everywhere, without reload', async () => {
		const { browser } = at;
		await browser.beginRound(path, 'tip-height');
		await browser.press('140', Key.ENTER);
		await round(browser).elevenLeft();
		await browser.press(Key.ESCAPE);
		await parts(browser).bindFloor();
		expect(await row('1I')).toMatch(/^1I 1\.818 131 312 0\.128 0\.088 0\.140 ·/);
		await browser.run('window.stayed = true');

		await (await browser.find('nav a[href$="/parts"]')).click();
		await browser.sees('Compatibility');
		expect(await finding('one-maker', 'Intake')).toContain('Accepted by RT');
		await parts(browser).intakeLocks('Ostrel 10° plus 0.050');
		await until(async () => (await finding('one-maker', 'Intake')) === '');
		await form(browser).save();
		await parts(browser).findSpring();
		await shop(browser).toSheet();
		await parts(browser).bindFloor();
		// Plus locks of 0.050: taller by it, more to the seal by it, the tip lower by it.
		expect(await row('1I')).toMatch(/^1I 1\.868 .* 0\.138 0\.090/);
		expect(await browser.run('return window.stayed')).toBe(true);
	});
});

describe('taking a finding on', () => {
	it('a watch with a reason, kept and printed', async () => {
		const { browser } = at;
		await browser.go(`${path}/parts`);
		await parts(browser).intakeLocks('Brackel 10° standard');
		await browser.fill('exhaust: Retainer', 'Brackel 31, steel, single 10°');
		await browser.sees('2 springs, 1 landing');
		await form(browser).save();
		await parts(browser).findSpring();
		expect(await finding('one-maker', 'Intake')).toContain('bearing blued');
		await browser.click('Withdraw the acceptance of One maker: retainer, locks, cap');
		await until(async () => (await finding('one-maker', 'Intake')).includes('Accept it'));
	});
	it('a stop only by name, and it stays on the sheet', async () => {
		const { browser } = at;
		const stop = await browser.find('[data-finding="retainer-landings Exhaust"]');
		await stop.findElement({ xpath: './/button[contains(., "Accept it")]' }).click();
		await browser.press('mock-up only, not to run', Key.ENTER);
		await browser.sees('Type your name to accept a stop: Runa Tarn.');
		await browser.fill('Your name, to accept a stop', 'Runa Tarn');
		await browser.press(Key.ENTER);
		await browser.sees('Accepted by RT: mock-up only, not to run');
		await browser.go(`${path}/paper`);
		await browser.sees('stop Retainer landings, Exhaust: 2 springs, 1 landing.');
		await browser.sees('Accepted by Runa Tarn: mock-up only, not to run');
	});
	it('is kept with person and time', async () => {
		const kept = (await query(
			at.app,
			`select entry from job_entry where list = 'acceptances' order by position desc limit 1`
		)) as { entry: { reason: string; accepted: boolean } }[];
		expect(kept[0]!.entry).toMatchObject({ reason: 'mock-up only, not to run', accepted: true });
	});
});

describe('a station with a part of its own', () => {
	it('has its own findings and figures', async () => {
		const { browser } = at;
		await browser.go(`${path}/parts`);
		await browser.fill('Station', '3E');
		await browser.fill('Its own part', 'Ostrel 7° square');
		await browser.click('Set', 'button');
		await browser.sees('3E Locks: Ostrel 7° square');
		expect(await finding('lock-angle', '3E')).toContain('locks 7°, retainer 10°');
		await browser.click('3E: back to its kind’s Locks');
		await until(async () => (await finding('lock-angle', '3E')) === '');
	});
});

describe('the head itself', () => {
	it('a valve job makes every reading stale', async () => {
		const { browser } = at;
		await browser.go(`${path}/setup`);
		await notes(browser).write('seats touched up');
		await notes(browser).add();
		await browser.sees('seats touched up');
		await browser.go(path);
		expect(await row('1I')).toMatch(/^1I · · ·/);
		await browser.sees('Installed height was read before the valve job: measure again');
	});
	it('a deck cut tells compression before and after', async () => {
		const { browser } = at;
		await browser.go(`${path}/setup`);
		expect(await browser.text('section[aria-label="Work on the head"]')).toMatch(
			/The deck is 0\.012 nearer\. Compression \d+\.\d\d : 1 before, \d+\.\d\d : 1 after\./
		);
	});
	it('valves are looked at one after another, by keys', async () => {
		const { browser } = at;
		await browser.openJob('2421');
		await browser.click('Valves', 'a');
		await browser.sees('0 of 16 inspected');
		await browser.ready();
		await browser.press('g');
		await browser.sees('1 of 16 inspected');
		await browser.click('battered', 'label');
		await browser.sees('Tip is battered, as by float');
		await browser.click('Save, next valve');
		await browser.sees('2 of 16 inspected');
	});
});

describe('the cam', () => {
	it('chosen from the library fills in lift and lash, and is kept with the job', async () => {
		const { browser } = at;
		const shown = async (label: string) => (await browser.field(label)).getAttribute('value');
		await browser.go(`${path}/setup`);
		await browser.fill('cam', 'Tarn 252 marine');
		expect(await shown('intake: Lobe lift')).toBe('0.330 in');
		expect(await shown('intake: Lash')).toBe('');
		await browser.fill('intake: Lash', '12');
		await browser.fill('intake: Lash tolerance', '2');
		await setupPage(browser).save();
		const setupNow = async () => {
			const { body } = await browser.api('GET', `/api${path}`);
			return (body as { job: Job }).job.setup;
		};
		await until(async () => (await setupNow()).cam?.name === 'Tarn 252 marine');
		const setup = await setupNow();
		expect(setup.kinds.intake.lift).toMatchObject({ type: 'lobe', lobe: '0.330 in', ratio: 1.5 });
		expect(setup.kinds.intake.lash).toMatchObject({ setting: '0.012 in', tolerance: '0.002 in' });
		expect(setup.kinds.exhaust.lash).toBeUndefined();
	});
});
