/**
 * How long a keystroke takes to become a verdict on a sheet of 32 stations:
 * script time from the input event until the page holds the new figures.
 * Goal: one frame, under 8 ms.
 *
 *   ./start && npm run bench:keystroke
 */
import { rmSync } from 'node:fs';
import { Browser } from '../support/browser.ts';
import { importBigJob } from './big-job.ts';

const { job, file } = importBigJob('Keystroke bench');
const browser = await Browser.open(process.argv[2] ?? 'http://127.0.0.1:4600');
try {
	await browser.workAs(job.people[0]!.name);
	await browser.go('/');
	await (await browser.find('input[type=file]')).sendKeys(file);
	await browser.sees('Keystroke bench');
	await browser.sees('Min bind margin');
	await browser.go(`/jobs/${job.id}/round?of=installed-height`);
	await browser.begin();
	await browser.click('Remeasure');
	await browser.find('main input[inputmode="decimal"]');
	const [times, shown] = await browser.driver.executeAsyncScript<[number[], number]>(`
		const done = arguments[0];
		const input = document.querySelector('main input[inputmode="decimal"]');
		const times = [];
		const shown = new Set();
		(async () => {
			for (let i = 0; i < 300; i++) {
				input.value = (34.1 + (i % 90) / 100).toFixed(2);
				const start = performance.now();
				input.dispatchEvent(new InputEvent('input', { bubbles: true }));
				for (let tick = 0; tick < 20; tick++) await null;
				const text = document.querySelector('main dl')?.textContent;
				times.push(performance.now() - start);
				shown.add(text);
				await new Promise((frame) => requestAnimationFrame(frame));
			}
			done([times, shown.size]);
		})();
	`);
	if (shown < 90) throw new Error(`only ${shown} of 90 figures were shown`);
	times.sort((a, b) => a - b);
	const at = (part: number) => times[Math.floor(times.length * part)]!.toFixed(2);
	console.log(
		`keystroke to verdict, ${job.stations.length} stations: median ${at(0.5)} ms, 95 % ${at(0.95)} ms`
	);
} finally {
	await browser.close();
	rmSync(file);
}
