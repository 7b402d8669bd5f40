/** Every screen at the widths it is used at: nothing runs off it, nothing lies on another, a finger finds its target. */
import type { WebElement } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import { query, until } from './support/app.ts';
import { visit } from './support/visit.ts';
import { wrongAtWidths } from './support/widths.ts';

const at = visit('demo');
const paths: string[] = [];
let six = '';

/** A kit's own page, as the demo has them. */
async function kitPages(): Promise<string[]> {
	const [kit] = (await query(at.app, `select id from kit order by doc ->> 'name'`)) as {
		id: string;
	}[];
	return [`/kits/${kit!.id}`];
}

beforeAll(async () => {
	await at.browser.workAs('Runa Tarn');
	const jobs: string[] = [];
	for (const number of ['2417', '2409', '2421', '2405', '2411', '2402'])
		jobs.push(await at.browser.openJob(number));
	six = jobs[0]!;
	paths.push(
		'/',
		'/?find=zzz',
		'/bench',
		'/jobs/new',
		'/parts',
		'/parts/new?sort=spring',
		'/gauges',
		'/springs',
		'/springs/compare',
		'/sums',
		'/kits',
		'/kits/new',
		'/templates',
		'/templates/new',
		'/policies',
		'/nowhere',
		...jobs,
		...[
			'setup',
			'parts',
			'springs',
			'inspect',
			'inspect/figures',
			'as-found',
			'rounds',
			'bare',
			'plan',
			'lift',
			'control',
			'what-if',
			'assembly',
			'checks',
			'lash',
			'sign',
			'list',
			'paper',
			...[
				'installed-height',
				'seal-gap',
				'tip-height',
				'built-height',
				'lash',
				'chamber-volume'
			].map((of) => `round?of=${of}`)
		].map((page) => `${six}/${page}`),
		...(await kitPages()),
		...jobs.slice(1, 3).map((job) => `${job}/round?of=installed-height`),
		'/?filter=came-back'
	);
});

describe('every screen', () => {
	it('is whole at every width, from a phone to a wide bench, and has nothing serious for axe in either scheme', async () => {
		const { browser } = at;
		const wrong: string[] = [];
		for (const path of paths) wrong.push(...(await wrongAtWidths(browser, path)));
		expect(wrong).toEqual([]);
	}, 540_000);
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
		await browser.sees('All 12 measured.');
		const field = await browser.all('input[inputmode=decimal]');
		expect(field).toHaveLength(0);
	});
	it('takes the last digit back, and goes back a station where there is none', async () => {
		const { browser } = at;
		await browser.go(`${six}/round?of=seal-gap`);
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
		await browser.sees('All 12 measured.');
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
		await browser.sees('Record these shims');
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
