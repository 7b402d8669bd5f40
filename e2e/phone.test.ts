/** A job on a phone, held in one hand: by touch alone. */
import type { WebElement } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import { until } from './support/app.ts';
import { visit } from './support/visit.ts';
import { assembly } from './support/pages/assembly.ts';
import { round } from './support/pages/round.ts';

const at = visit('demo');
let six = '';

beforeAll(async () => {
	await at.browser.workAs('Runa Tarn');
	six = await at.browser.openJob('2417');
});

describe('a phone in one hand', () => {
	/** What can be seen and reads so. */
	const named = async (text: string) => {
		let found: WebElement | null = null;
		await until(async () => {
			found = await at.browser.run<WebElement | null>(
				`return [...document.querySelectorAll('button, a')].find(
					(e) => e.innerText.trim() === arguments[0] && e.getClientRects().length > 0) ?? null`,
				text
			);
			return found !== null;
		}, `nothing to tap reads “${text}”`);
		return found!;
	};
	const tap = async (text: string) => at.browser.tap(await named(text));
	beforeAll(async () => {
		const { browser } = at;
		await browser.size(390, 844);
		await browser.devtools('Emulation.setTouchEmulationEnabled', { enabled: true });
	});

	it('goes round twelve by touch alone', async () => {
		const { browser } = at;
		await browser.go(`${six}/round?of=tip-height`);
		await tap('Start');
		for (let i = 0; i < 12; i++) {
			const digits = String(110 + i);
			for (const digit of digits) await tap(digit);
			await browser.sees(`Read as 0.${digits} in`);
			await tap('Keep');
			if (i < 11) await browser.sees(`${11 - i} of 12 left`);
		}
		await round(browser).allTwelve();
		const field = await browser.all('input[inputmode=decimal]');
		expect(field).toHaveLength(0);
	});
	it('takes the last digit back, and goes back a station where there is none', async () => {
		const { browser } = at;
		await browser.go(`${six}/round?of=seal-gap`);
		await tap('Start');
		await round(browser).asksForSeal();
		await browser.tap(await browser.find('[role=radio][data-value=yes]'));
		await tap('Start');
		const input = await browser.find('input[aria-describedby=understood]');
		const before = await input.getAttribute('aria-label');
		for (const sign of ['6', '.', '1']) await tap(sign);
		await browser.tap(await browser.find('[aria-label=Erase]'));
		expect(await input.getAttribute('value')).toBe('6.');
		await browser.tap(await browser.find('[aria-label=Erase]'));
		await browser.tap(await browser.find('[aria-label=Erase]'));
		await tap('Skip');
		await until(async () => (await input.getAttribute('aria-label')) !== before);
		await browser.tap(await browser.find('[aria-label="Back one station"]'));
		await until(async () => (await input.getAttribute('aria-label')) === before);
	});
	it('undoes a figure of the round', async () => {
		const { browser } = at;
		await browser.go(`${six}/round?of=tip-height`);
		await tap('Start');
		await round(browser).allTwelve();
		await tap('Remeasure');
		const last = async () => (await browser.all('[aria-label="Last figures"] li')).length;
		expect(await last()).toBe(4);
		const read = await browser.text('[aria-label="Last figures"] li');
		await tap('Undo');
		await until(async () => (await browser.text('[aria-label="Last figures"] li')) !== read);
	});
	it('opens a station over the list, what is wrong first', async () => {
		const { browser } = at;
		await browser.go(six);
		const lines = await browser.all('main li button[aria-haspopup=dialog]');
		expect(await lines[0]!.getText()).toMatch(/^4E\s+stop/);
		await browser.tap(lines[0]!);
		await assembly(browser).asksForShims();
		await tap('Close');
	});
	it('has every stage of a phase behind it, and what is next in the middle', async () => {
		const { browser } = at;
		await tap('Build');
		for (const stage of ['Assembly', 'As built', 'Checks', 'Lash']) await browser.sees(stage);
		await browser.tap(await browser.find('[role=dialog] a[href$="/checks"]'));
		await until(async () => (await browser.driver.getCurrentUrl()).endsWith('/checks'));
		await browser.tap(await browser.find('nav[aria-label="Phases of the job"] > a'));
		await until(async () =>
			(await browser.driver.getCurrentUrl()).includes('round?of=installed-height')
		);
	});
});
