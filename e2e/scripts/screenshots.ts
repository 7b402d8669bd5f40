/**
 * Renews docs/screenshots from the demo that is being served.
 *
 *   ./start && npm run screenshots
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { Browser, Key } from '../support/browser.ts';

const FOLDER = 'docs/screenshots';
const browser = await Browser.open(process.argv[2] ?? 'http://127.0.0.1:4600');

async function keep(name: string): Promise<void> {
	// Charts and fonts settle.
	await new Promise((later) => setTimeout(later, 600));
	mkdirSync(FOLDER, { recursive: true });
	writeFileSync(`${FOLDER}/${name}.png`, await browser.driver.takeScreenshot(), 'base64');
}

try {
	await browser.workAs('Runa Tarn');
	await browser.go('/');
	await keep('jobs');
	const six = await browser.openJob('2417');
	await keep('sheet');
	await browser.go(`${six}/round?of=installed-height`);
	await browser.press(Key.ENTER);
	await browser.find('main input[inputmode="decimal"]');
	await browser.press('1822');
	await keep('round');
	const twinCam = await browser.openJob('2409');
	await browser.go(`${twinCam}/paper`);
	await browser.size(1000, 1280);
	await keep('paper');
	await browser.size(1280, 800);
	await browser.go(`${six}/inspect`);
	await keep('inspect');
	await browser.go(`${six}/springs`);
	await keep('springs');
	await browser.go('/parts');
	await keep('library');
	const v8 = await browser.openJob('2421');
	await browser.go(`${v8}/parts`);
	await keep('fit');
	await browser.go(six);
	await browser.run(`document.documentElement.dataset.scheme = 'dark'`);
	await keep('sheet-dark');
} finally {
	await browser.close();
}
