/**
 * How long a valve's motion takes in the browser's worker, and whether the page goes on
 * drawing meanwhile. A sweep is sixty engine speeds at three stiffnesses, each with a search
 * for where it parts: a third of it is no less than sixty speeds. Goals: sixty speeds under
 * 150 ms without surge and under 400 ms with it, no frame longer than two of a 60 Hz screen
 * but for the page's own drawing of what came.
 *
 *   ./start && npm run bench:motion
 */
import { Browser } from '../support/browser.ts';

/** Milliseconds for sixty speeds, by whether the coils swing. */
const GOAL = { swinging: 400, still: 150 } as const;
const TWO_FRAMES = 34;
const ROUNDS = 5;

const browser = await Browser.open(process.argv[2] ?? 'http://127.0.0.1:4600');
/** Milliseconds of one sweep by a warm worker's page, and the frames drawn while it lasted. */
const sweep = () =>
	browser.wait<{ took: number; frames: number[] }>(`
		const press = (name) => [...document.querySelectorAll('main button')].find((b) => b.textContent.includes(name)).click();
		const cancels = () => [...document.querySelectorAll('main button')].some((b) => b.textContent.trim() === 'Cancel');
		const began = performance.now();
		press('only');
		const frames = [];
		let before = performance.now();
		do {
			await new Promise((frame) => requestAnimationFrame(frame));
			const now = performance.now();
			frames.push(now - before);
			before = now;
		} while (cancels());
		return { took: performance.now() - began, frames };`);
const middle = (list: readonly number[]) => list.toSorted((a, b) => a - b)[list.length >> 1]!;

try {
	await browser.workAs('Runa Tarn');
	const path = await browser.openJob('2418');
	for (const coils of ['swinging', 'still'] as const) {
		await browser.go(`${path}/control`);
		await browser.find('main canvas');
		if (coils === 'still') await browser.click('coils swing', 'label');
		const rounds: Awaited<ReturnType<typeof sweep>>[] = [];
		for (let round = 0; round < ROUNDS; round++) rounds.push(await sweep());
		const took = middle(rounds.map((one) => one.took)) / 3;
		const frames = rounds.flatMap((one) => one.frames.slice(0, -1));
		const long = frames.filter((frame) => frame > TWO_FRAMES).length;
		console.log(
			`sixty speeds, coils ${coils}: ${took.toFixed(0)} ms (wanted under ${GOAL[coils]}); ` +
				`${frames.length} frames while it worked, ${long} longer than ${TWO_FRAMES} ms, longest ${Math.max(...frames).toFixed(0)} ms`
		);
	}
} finally {
	await browser.close();
}
