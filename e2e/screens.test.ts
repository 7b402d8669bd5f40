/** Every screen: no serious fault for axe, in light and dark, and a way round without a mouse. */
import { beforeAll, describe, expect, it } from 'vitest';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';

const at = visit('demo');
let job = '';

beforeAll(async () => {
	await at.browser.workAs('Runa Tarn');
	job = await at.browser.openJob('2417');
});

const SCREENS: readonly [name: string, path: () => string][] = [
	['jobs on the bench', () => '/'],
	['a search without result', () => '/?find=zzz'],
	['who works here', () => '/bench'],
	['check-in', () => '/jobs/new'],
	['sheet', () => job],
	['set-up', () => `${job}/setup`],
	['parts of a job', () => `${job}/parts`],
	['which spring', () => `${job}/springs`],
	['plan', () => `${job}/plan`],
	['what if', () => `${job}/what-if`],
	['max lift', () => `${job}/lift`],
	['bare heights', () => `${job}/bare`],
	['inspection', () => `${job}/inspect`],
	['library', () => '/parts'],
	['library of locks', () => '/parts?sort=locks'],
	['a new part', () => '/parts/new?sort=retainer'],
	['a new spring', () => '/parts/new?sort=spring'],
	['kits', () => '/kits'],
	['a kit from its paper', () => '/kits/new'],
	['templates of engines', () => '/templates'],
	['a new template', () => '/templates/new'],
	['shop policies', () => '/policies'],
	['a pasted list', () => `${job}/list`],
	['gauges', () => '/gauges'],
	['spring sets', () => '/springs'],
	['round of tip heights', () => `${job}/round?of=tip-height`],
	['round of heights', () => `${job}/round?of=installed-height`],
	['round of seal gaps', () => `${job}/round?of=seal-gap`],
	['round of lash', () => `${job}/round?of=lash`],
	['round of heights as built', () => `${job}/round?of=built-height`],
	['round through the firing order', () => `${job}/round?of=lash&order=firing-order`],
	['assembly', () => `${job}/assembly`],
	['checks', () => `${job}/checks`],
	['lash on the engine', () => `${job}/lash`],
	['sign', () => `${job}/sign`],
	['paper', () => `${job}/paper`],
	['a page that is not there', () => '/nowhere']
];

describe.each(SCREENS)('%s', (_, path) => {
	beforeAll(() => at.browser.go(path()));
	it.each(['light', 'dark'])('has nothing serious for axe in %s', async (scheme) => {
		const { browser } = at;
		await browser.run('document.documentElement.dataset.scheme = arguments[0]', scheme);
		expect(await browser.faults()).toEqual([]);
	});
	it.each([
		[1024, 768],
		[1280, 800]
	])('does not scroll sideways at %i × %i', async (width, height) => {
		const { browser } = at;
		await browser.size(width, height);
		const [wide, shown] = await browser.run<[number, number]>(
			'return [document.documentElement.scrollWidth, innerWidth]'
		);
		expect(shown).toBe(width);
		expect(wide).toBeLessThanOrEqual(shown);
	});
	it('shows no value raw, and nothing that is no text', async () => {
		expect(await at.browser.rawValues()).toEqual([]);
	});
	it('has every control reached by Tab', async () => {
		const { browser } = at;
		const wanted = await browser.run<number>(`
			window.reached = new Set();
			document.addEventListener('focusin', (event) => window.reached.add(event.target), true);
			document.activeElement?.blur();
			window.controls = [...document.querySelectorAll('a[href], button, input')].filter(
				(e) => e.tabIndex >= 0 && !e.disabled && e.role !== 'radio' && e.offsetParent !== null);
			return window.controls.length`);
		await browser.press(...Array<string>(wanted + 8).fill(Key.TAB));
		const missed = await browser.run<string[]>(
			'return window.controls.filter((e) => !window.reached.has(e)).map((e) => e.outerHTML.slice(0, 120))'
		);
		expect(missed).toEqual([]);
	});
});

describe('without a mouse', () => {
	it('? lists the keys of the screen, / finds, arrows and Enter open a job', async () => {
		const { browser } = at;
		await browser.go(job);
		await browser.press('?');
		await browser.sees('Keys of this screen');
		await browser.sees('only what is not clear');
		await browser.press(Key.ESCAPE);
		await browser.press('/');
		await browser.find('[aria-label="Find anything"]:focus');
		await browser.press(Key.ESCAPE);
		await browser.go('/');
		await browser.fill('Find by number, customer or engine', 'twin');
		await until(async () => (await browser.all('a[data-job]')).length === 1);
		await browser.press(Key.TAB);
		await browser.run('document.activeElement.blur()');
		await browser.press(Key.ARROW_DOWN, Key.ENTER);
		await browser.sees('Sheet of job 2409');
	});
});

describe('the palette', () => {
	const openPalette = () =>
		at.browser.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform();
	it('finds jobs, parts by their other names, and stations, and goes there', async () => {
		const { browser } = at;
		await browser.go(job);
		await openPalette();
		await browser.find('[aria-label="Find anything"]');
		await browser.press('keepers');
		await browser.sees('Brackel 10° standard');
		await browser.fill('Find anything', 'twin cam');
		await browser.sees('2409 Kestler 2.0 twin cam');
		await browser.press(Key.ENTER);
		await browser.sees('Sheet of job 2409');
		await openPalette();
		await browser.sees('Recent');
		await browser.press('3ea', Key.ENTER);
		await until(async () => (await browser.driver.getCurrentUrl()).endsWith('at=3Ea'));
	});
});

describe('on paper', () => {
	it('a head that was measured in millimetres is written in them, where nobody chose others', async () => {
		const { browser } = at;
		const twin = await browser.openJob('2409');
		await browser.go(`${twin}/paper`);
		expect(await browser.text('article')).toMatch(/1Ia 34\.54 \d{3} /);
	});
	it.each([
		['A4', 8.27, 11.69],
		['Letter', 8.5, 11]
	])('the sheet of twelve stations is one page of %s', async (size, paperWidth, paperHeight) => {
		const { browser } = at;
		await browser.go(`${job}/paper?size=${size}`);
		const { data } = await browser.devtools<{ data: string }>('Page.printToPDF', {
			preferCSSPageSize: true,
			printBackground: true
		});
		const pdf = Buffer.from(data, 'base64').toString('latin1');
		expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
		const box = /\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/.exec(pdf)!;
		expect(Number(box[1]) / 72).toBeCloseTo(paperWidth, 1);
		expect(Number(box[2]) / 72).toBeCloseTo(paperHeight, 1);
	});
});
