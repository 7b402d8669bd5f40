/**
 * Renews docs/screenshots from the demo that is being served.
 *
 *   ./start && npm run screenshots
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import sharp from 'sharp';
import { until } from '../support/app.ts';
import { Browser, Key } from '../support/browser.ts';

const FOLDER = 'docs/screenshots';
/** Between pictures that stand side by side. */
const GUTTER = 12;
const GAUGES = Number(process.env.GAUGES ?? 4610);
const browser = await Browser.open(process.argv[2] ?? 'http://127.0.0.1:4600');

async function keep(name: string): Promise<void> {
	// Charts and fonts settle.
	await new Promise((later) => setTimeout(later, 600));
	mkdirSync(FOLDER, { recursive: true });
	writeFileSync(`${FOLDER}/${name}.png`, await browser.driver.takeScreenshot(), 'base64');
}

/** Fennick C-31 conical, of the demo's library. */
const SPRING = 'f1d2831c-863b-58f1-acf0-e9ac0ded2114';

/** The pages that are used with a tablet or a phone in hand, side by side in one file. */
async function small(pages: readonly string[]): Promise<void> {
	const HEIGHT = 844;
	const shots: { input: Buffer; left: number; top: number }[] = [];
	let left = 0;
	for (const [width, height] of [
		[390, 844],
		[768, 1024]
	] as const)
		for (const path of pages) {
			await browser.size(width, height);
			await browser.go(path);
			if (path.includes('/round')) {
				await browser.begin();
				await browser.press('1822');
			}
			await new Promise((later) => setTimeout(later, 600));
			const shot = Buffer.from(await browser.driver.takeScreenshot(), 'base64');
			const input = await sharp(shot).resize({ height: HEIGHT }).png().toBuffer();
			shots.push({ input, left, top: 0 });
			left += Math.round((width / height) * HEIGHT) + GUTTER;
		}
	await browser.size(1280, 800);
	await sharp({
		create: { width: left - GUTTER, height: HEIGHT, channels: 3, background: '#8a9495' }
	})
		.composite(shots)
		.png()
		.toFile(`${FOLDER}/small.png`);
}
const picture = async () => {
	await new Promise((later) => setTimeout(later, 600));
	return Buffer.from(await browser.driver.takeScreenshot(), 'base64');
};

/** Two screens that belong together, one above the other in one file. */
async function pair(name: string, above: Buffer, below: Buffer): Promise<void> {
	const [width, height] = [1280, 800];
	await sharp({
		create: { width, height: 2 * height + GUTTER, channels: 3, background: '#8a9495' }
	})
		.composite([
			{ input: above, left: 0, top: 0 },
			{ input: below, left: 0, top: height + GUTTER }
		])
		.png()
		.toFile(`${FOLDER}/${name}.png`);
}

/** A job taken in by five answers, and the page of a kit. */
async function intake(): Promise<void> {
	await browser.go('/jobs/new');
	await browser.fill('Engine', 'Sorrel marine V8');
	await browser.fill('Kit or spring', 'Marine V8, firm');
	await browser.fill('Lift', '0.360 × 1.6');
	await browser.fill('Application', 'lake tug, long duty');
	await browser.fill('Customer', 'Ferrin Dale');
	await browser.press(Key.TAB);
	const taken = await picture();
	await browser.go('/kits');
	await browser.click('Twin cam four, hill', 'a');
	await browser.sees('The paper, photographed');
	await pair('intake', taken, await picture());
}

/** Three of the demo's springs swept on its stand-in tester. */
async function capture(): Promise<void> {
	const control = (path: string, value = '') =>
		fetch(`http://127.0.0.1:${GAUGES + 3}/tester/${path}?value=${encodeURIComponent(value)}`, {
			method: 'POST'
		});
	await control('speed', '20');
	await browser.go('/springs');
	await browser.click('Straight six, D-37', 'a');
	await browser.click('Test springs', 'a');
	await browser.find('[data-link="connected"]');
	await browser.fill('Fixture thickness', '5.36 mm');
	for (let i = 1; i <= 9; i++) {
		await browser.find('[data-phase="waiting"]');
		await control('spring', `D-37 no. ${i}`);
		await control('pull');
		await browser.find('[data-phase="done"]');
		if (i === 5) await keep('capture');
		await browser.run('document.activeElement.blur()');
		await browser.press(Key.ENTER);
		await browser.sees(`Saved T${i}`);
	}
	await browser.press(Key.ESCAPE);
	await browser.sees('Identify the spring');
	const set = await picture();
	await browser.click('Side by side with its card', 'a');
	await browser.sees('Bind margin at');
	await pair('set', set, await picture());
}

/** The first steps of a station's assembly. */
async function build(job: string): Promise<void> {
	await browser.go(`${job}/assembly`);
	await browser.fill('Counted', '24');
	await browser.press(Key.ENTER);
	for (let done = 1; done < 9; done++) {
		await browser.sees(`${done} of 158`);
		await browser.click('Done', 'button');
	}
	await browser.sees('9 of 158');
	await keep('assembly');
}

/** What is open on a job, and its signed sheet once nothing is. */
async function sign(job: string): Promise<void> {
	await browser.go(`${job}/sign`);
	await browser.fill('Note', 'Seals from the shelf of last year');
	await browser.click('Add', 'button');
	await browser.sees('RT · internal');
	await browser.click('Sign as', 'button');
	await browser.sees('Sheet 1 is as the job stands.');
	await keep('sign');
}

try {
	await browser.workAs('Runa Tarn');
	await browser.go('/');
	await keep('jobs');
	await intake();
	const six = await browser.openJob('2417');
	await keep('sheet');
	await browser.go(`${six}/round?of=installed-height`);
	await browser.begin();
	await browser.find('main input[inputmode="decimal"]');
	await browser.press('1822');
	await keep('round');
	const oneValve = `/valve?spring=${SPRING}&lift=0.531+in&height=1.850+in`;
	await small([oneValve, six, `${six}/round?of=installed-height`, `${six}/assembly`]);
	const twinCam = await browser.openJob('2409');
	await browser.go(`${twinCam}/paper`);
	await browser.size(1000, 1280);
	await keep('paper');
	await browser.size(1280, 800);
	await browser.go('/gauges');
	const gauges = await picture();
	await browser.go(`${six}/inspect`);
	await pair('inspect', await picture(), gauges);
	await browser.go(`${six}/lift`);
	await browser.fill('Change', 'Seals home, by');
	await browser.fill('By how much', '0.020 in');
	await browser.press(Key.ENTER);
	await browser.sees('+ Seals home by');
	// The shop's parts are tried in a worker; the ladder is whole when none of them is left.
	await until(() =>
		browser.run<boolean>(
			`return [...document.querySelectorAll('main [role=status]')].every((e) => !e.textContent.trim())`
		)
	);
	const lift = await picture();
	await browser.go(`${six}/springs`);
	await pair('springs', await picture(), lift);
	await capture();
	const placed = await browser.openJob('2426');
	const back = await browser.openJob('2423');
	await browser.go(`${back}/then`);
	const then = await picture();
	await browser.go('/springs');
	await browser.click('Corvane sprint', 'a');
	await browser.click('Over its service', 'a');
	await browser.sees('By that line it reaches');
	await pair('then', then, await picture());
	await browser.go(`${back}/diagnosis`);
	await keep('diagnosis');
	const control = await browser.openJob('2418');
	await browser.go(`${control}/control`);
	await browser.click('Calculate 1I only', 'button');
	await browser.sees('Off its cam or bouncing from');
	await browser.run('document.querySelector("h1").parentElement.scrollTo(0, 0)');
	await keep('control');
	await browser.go(`${placed}/plan`);
	await browser.click('Calculate plan', 'button');
	await browser.sees('shims only');
	await keep('plan');
	const v8 = await browser.openJob('2421');
	await browser.go(`${v8}/parts`);
	await keep('fit');
	await build(six);
	await browser.go(`${six}/lash`);
	await keep('lash');
	await sign(twinCam);
	await browser.go(`${six}/checks`);
	await browser.run(`document.documentElement.dataset.scheme = 'dark'`);
	await keep('checks');
} finally {
	await browser.close();
}
