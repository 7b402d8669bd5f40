/**
 * How long a keystroke takes to become a verdict on a sheet of 32 stations:
 * script time from the input event until the page holds the new figures.
 * Goal: one frame, under 8 ms.
 *
 *   ./start && npm run bench:keystroke
 */
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newJob, stationsOf, type Job } from '@zinc-ledger/core';
import { v7 as uuid } from 'uuid';
import { Browser, Key } from '../support/browser.ts';

const demo = JSON.parse(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8')) as Job;
const layout = {
	...demo.engine.layout,
	arrangement: 'V' as const,
	cylinders: 8,
	firingOrder: [1, 8, 4, 3, 6, 5, 7, 2]
};
const job = newJob({
	id: uuid(),
	number: `bench-${Date.now()}`,
	takenIn: new Date().toISOString(),
	customer: { ...demo.customer, id: uuid() },
	engine: { id: uuid(), name: 'Keystroke bench', layout },
	setup: demo.setup
});
job.people = demo.people;
job.readings = stationsOf(layout).flatMap((station, i) =>
	demo.readings
		.filter((reading) => reading.station === demo.stations[i % 16]!.label)
		.map((reading) => ({ ...reading, id: uuid(), station: station.label }))
);

const file = join(tmpdir(), `${job.number}.json`);
writeFileSync(file, JSON.stringify(job));
const browser = await Browser.open(process.argv[2] ?? 'http://127.0.0.1:4600');
try {
	await browser.workAs(demo.people[0]!.name);
	await browser.go('/');
	await (await browser.find('input[type=file]')).sendKeys(file);
	await browser.sees('Keystroke bench');
	await browser.sees('Min bind margin');
	await browser.go(`/jobs/${job.id}/round?of=installed-height`);
	await browser.press(Key.ENTER);
	await browser.click('Remeasure');
	await browser.find('main input[inputmode="decimal"]');
	const [times, shown] = await browser.driver.executeAsyncScript<[number[], number]>(`
		const done = arguments[0];
		const input = document.querySelector('main input[inputmode="decimal"]');
		const times = [];
		const shown = new Set();
		(async () => {
			for (let i = 0; i < 300; i++) {
				input.value = (1.34 + (i % 90) / 1000).toFixed(3);
				const start = performance.now();
				input.dispatchEvent(new InputEvent('input', { bubbles: true }));
				await null; await null; await null;
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
