/** Every screen at the widths it is used at: nothing runs off it, nothing lies on another, a finger finds its target. */
import type { WebElement } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import { query, until } from './support/app.ts';
import { visit } from './support/visit.ts';

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

/** Runs in the page: what runs off it, what lies on what, what is cut, and what is too small for a finger. */
const MEASURED = `
	const found = [];
	const shows = (e) => {
		const { width, height } = e.getBoundingClientRect();
		return width > 0 && height > 0 && !e.closest('.sr-only, [aria-hidden=true]') &&
			getComputedStyle(e).visibility !== 'hidden';
	};
	const words = (e) => (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40) || e.tagName;
	const scrolls = (e) => {
		for (let p = e.parentElement; p; p = p.parentElement)
			if (/auto|scroll/.test(getComputedStyle(p).overflowX)) return true;
		return false;
	};
	if (document.documentElement.scrollWidth > innerWidth) found.push('the page scrolls sideways');
	for (const e of document.querySelectorAll('body *')) {
		if (e.children.length > 0 || !e.textContent.trim() || !shows(e) || e.closest('svg')) continue;
		const { left, right } = e.getBoundingClientRect();
		if ((right > innerWidth + 1 || left < -1) && !scrolls(e)) found.push('off the page: ' + words(e));
		const style = getComputedStyle(e);
		const isCut = e.scrollWidth > e.clientWidth + 1 && style.overflowX === 'hidden' && style.textOverflow !== 'ellipsis';
		if (isCut) found.push('cut: ' + words(e));
	}
	for (const plan of document.querySelectorAll('[aria-label="Head plan"]')) {
		const valves = [...plan.querySelectorAll('[data-station] > span:first-child')].map((e) => [e, e.getBoundingClientRect()]);
		for (const [a, p] of valves)
			for (const [b, q] of valves) {
				if (a === b) continue;
				const apart = Math.hypot(p.x + p.width / 2 - q.x - q.width / 2, p.y + p.height / 2 - q.y - q.height / 2);
				if (apart < p.width / 2 + q.width / 2) found.push('on each other: ' + a.textContent.trim() + ' ' + b.textContent.trim());
			}
	}
	if (arguments[0])
		for (const e of document.querySelectorAll('a[href], button, [role=combobox], input:not([type=file], [type=hidden])')) {
			if (!shows(e) || e.classList.contains('sr-only')) continue;
			// A label is as good a target as its box, and a line of the list as good as its number.
			const target = e.closest('label') ?? (e.matches('[data-job]') ? e.closest('tr') : e);
			const { height } = target.getBoundingClientRect();
			if (height < 43.5) found.push('small, ' + Math.round(height) + ' px: ' + words(e));
		}
	return [...new Set(found)];
`;

const SIZES = [
	[390, 844],
	// A bench screen at twice its size.
	[640, 400],
	[768, 1024],
	[1024, 768],
	[1280, 800],
	[1920, 1080]
] as const;
/** Where axe is asked too; at the bench's own widths each screen is asked about by itself. */
const ASKED: readonly number[] = [390, 768];
/** All that axe asks of which the answer hangs on the scheme. */
const OF_COLOUR = ['color-contrast'];

/** Two frames on, a page that was made wider or narrower is laid out and drawn. */
const SETTLED =
	'await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))';

describe('every screen', () => {
	it('is whole at every width, from a phone to a wide bench, and has nothing serious for axe in either scheme', async () => {
		const { browser } = at;
		const wrong: string[] = [];
		const note = (where: string, found: readonly string[]) =>
			wrong.push(...found.map((one) => `${where}: ${one}`));
		for (const path of paths) {
			await browser.size(...SIZES[0]);
			await browser.go(path);
			for (const [width, height] of SIZES) {
				await browser.size(width, height);
				await browser.wait(SETTLED);
				const where = `${path} at ${width}`;
				note(where, await browser.run<string[]>(MEASURED, width < 1024));
				if (!ASKED.includes(width)) continue;
				const scheme = (name: string) =>
					browser.run('document.documentElement.dataset.scheme = arguments[0]', name);
				await scheme('light');
				note(`${where}, light`, await browser.faults());
				await scheme('dark');
				note(`${where}, dark`, await browser.faults(OF_COLOUR));
				await scheme('light');
			}
		}
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
