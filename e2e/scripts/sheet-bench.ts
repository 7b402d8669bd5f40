/**
 * The sheet of 32 stations as one meets it: how much script its first load fetches, and how
 * long after a key or a press the page is drawn again. Goals: under 180 kB gzipped, and
 * 95 % of interactions painted within 50 ms.
 *
 *   ./start && npm run bench:sheet
 */
import { rmSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { Browser } from '../support/browser.ts';
import { importBigJob } from './big-job.ts';

const root = process.argv[2] ?? 'http://127.0.0.1:4600';
const browser = await Browser.open(root);
const { job, file } = importBigJob('Sheet bench');
try {
	await browser.workAs(job.people[0]!.name);
	await browser.go('/');
	await (await browser.find('input[type=file]')).sendKeys(file);
	await browser.sees('Min bind margin');

	await browser.devtools('Network.clearBrowserCache');
	await browser.go(`/jobs/${job.id}`);
	await browser.sees('Min bind margin');
	const scripts = await browser.run<string[]>(
		`return performance.getEntriesByType('resource').map((one) => one.name).filter((name) => name.endsWith('.js'))`
	);
	const sizes = await Promise.all(
		scripts.map(async (address) => {
			const answer = await fetch(address);
			return gzipSync(Buffer.from(await answer.arrayBuffer()), { level: 9 }).length;
		})
	);
	const kilobytes = sizes.reduce((sum, size) => sum + size, 0) / 1000;

	// Keys that move, filter and sort; each is timed by the browser itself, until its frame is shown.
	const times = await browser.wait<number[]>(
		`const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
		const painted = [];
		const rows = () => [...document.querySelectorAll('[data-row]')];
		for (let i = 0; i < 200; i++) {
			const begun = performance.now();
			if (i % 10 === 9) [...document.querySelectorAll('thead button')][1 + (i % 4)].click();
			else if (i % 10 === 4) window.dispatchEvent(new KeyboardEvent('keydown', { key: 'c', bubbles: true }));
			else if (i % 2) rows()[i % rows().length]?.click();
			else window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
			await frame();
			painted.push(performance.now() - begun);
			await frame();
		}
		return painted;`
	);
	times.sort((a, b) => a - b);
	const at = (part: number) => times[Math.floor(times.length * part)]!.toFixed(1);
	console.log(
		`first load of the sheet: ${scripts.length} scripts, ${kilobytes.toFixed(1)} kB gzipped`
	);
	console.log(
		`interaction to paint, ${job.stations.length} stations: median ${at(0.5)} ms, 95 % ${at(0.95)} ms`
	);
} finally {
	await browser.close();
	rmSync(file);
}
