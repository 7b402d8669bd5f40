/** The ways round without a mouse, the palette, and the sheet on paper. */
import { beforeAll, describe, expect, it } from 'vitest';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { shop } from './support/pages/shop.ts';

const at = visit('demo');
let job = '';

beforeAll(async () => {
	await at.browser.workAs('Runa Tarn');
	job = await at.browser.openJob('2417');
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
		await shop(browser).twinCam();
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
		await shop(browser).twinCam();
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
