/**
 * Whether a sweep of 20,000 points opens, and pans under the pointer, without a
 * stutter: how long the frames are while the working window is dragged to and
 * fro. Goal: none longer than two frames of a 60 Hz screen.
 *
 *   ./start && npm run bench:chart
 */
import Papa from 'papaparse';
import { Browser } from '../support/browser.ts';

const POINTS = 20_000;
const TWO_FRAMES = 34;
const MOVES = 180;

const rows = Array.from({ length: POINTS }, (_, i) => [
	(54 - i * 0.001).toFixed(3),
	((1.8 + i * 0.001) * 60 + Math.sin(i * 12.9898) * 1.5).toFixed(2)
]);
const browser = await Browser.open(process.argv[2] ?? 'http://127.0.0.1:4600');
try {
	await browser.workAs('Runa Tarn');
	await browser.go('/springs');
	await browser.click('Straight six, D-37', 'a');
	await browser.find('aside input[type=file]');
	await browser.ready();
	await browser.run(
		`const input = document.querySelector('aside input[type=file]');
		const data = new DataTransfer();
		data.items.add(new File([arguments[0]], 'dense.csv'));
		input.files = data.files;
		input.dispatchEvent(new Event('change', { bubbles: true }));`,
		Papa.unparse({ fields: ['height mm', 'load N'], data: rows })
	);
	await browser.sees(`dense.csv: ${POINTS} points`);
	const { pathname } = new URL(await browser.driver.getCurrentUrl());

	await browser.go(pathname);
	await browser.find('figure canvas');
	const opened = await browser.run<number[]>(
		`const [entry] = performance.getEntriesByType('navigation');
		return [entry.domContentLoadedEventEnd, performance.now()]`
	);
	console.log(
		`page ready after ${opened[0]!.toFixed(0)} ms, chart there within ${opened[1]!.toFixed(0)} ms`
	);

	const [left, top, width, height] = await browser.run<[number, number, number, number]>(
		`const canvas = document.querySelector('figure canvas');
		canvas.scrollIntoView({ block: 'center' });
		const { x, y, width, height } = canvas.getBoundingClientRect();
		return [x, y, width, height]`
	);
	const mouse = (type: string, x: number) =>
		browser.devtools('Input.dispatchMouseEvent', {
			type,
			x,
			y: top + height / 2,
			button: 'left',
			buttons: 1,
			clickCount: 1
		});
	const seatOf = () =>
		browser.run<string>(`return document.querySelector('input[type=range]')?.value ?? ''`);
	const before = await seatOf();
	await browser.run(`
		window.frames60 = [];
		let last = performance.now();
		const frame = (now) => { window.frames60.push(now - last); last = now; window.going = requestAnimationFrame(frame); };
		requestAnimationFrame(frame);`);
	const middle = left + width * 0.5;
	await mouse('mouseMoved', middle);
	await mouse('mousePressed', middle);
	for (let i = 0; i < MOVES; i++) {
		await mouse('mouseMoved', middle + Math.sin(i / 12) * width * 0.12);
	}
	const during = await seatOf();
	await mouse('mouseReleased', middle);
	const frames = (await browser.run<number[]>('return window.frames60')).slice(2);
	if (before === during) throw new Error('the window did not move');
	frames.sort((a, b) => a - b);
	const at = (part: number) => frames[Math.floor((frames.length - 1) * part)]!.toFixed(1);
	console.log(
		`${frames.length} frames while dragging: median ${at(0.5)} ms, 95 % ${at(0.95)} ms, longest ${at(1)} ms, ` +
			`${frames.filter((time) => time > TWO_FRAMES).length} longer than two frames`
	);
} finally {
	await browser.close();
}
