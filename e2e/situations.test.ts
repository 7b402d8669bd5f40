/** Twelve heads that come back, six of them with two faults: what the diagnosis names, stops and condemns. */
import { beforeAll, describe, expect, it } from 'vitest';
import { returnedHead } from './support/returned-head.ts';
import { SITUATIONS } from './support/situations.ts';
import { visit } from './support/visit.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));

/** Imports a job file and returns its path. */
async function imported(job: ReturnType<typeof returnedHead>): Promise<string> {
	const form = new FormData();
	form.set('file', new Blob([JSON.stringify(job)], { type: 'application/json' }), 'job.json');
	const answer = await fetch(`${at.app.url}/?/import`, {
		method: 'POST',
		headers: { origin: at.app.url, accept: 'application/json' },
		body: form
	});
	expect([answer.status, await answer.text()]).toEqual([200, expect.stringContaining(job.id)]);
	return `/jobs/${job.id}`;
}

interface Named {
	readonly cause: string;
	readonly text: string;
}
interface Page {
	readonly named: readonly Named[];
	readonly stops: Readonly<Record<string, string>>;
	readonly condemned: string;
}
const shown = () =>
	at.browser.run<Page>(`
		const text = (e) => e.textContent.replaceAll(/\\s+/g, ' ').trim();
		const line = [...document.querySelectorAll('main p, [data-answer] p')].find((p) => text(p).startsWith('Replace the springs at'));
		return {
			named: [...document.querySelectorAll('[data-named]')].map((e) => ({ cause: e.dataset.named, text: text(e.querySelector('p')) })),
			stops: Object.fromEntries([...document.querySelectorAll('[data-stop]')].map((e) => [e.dataset.stop, text(e)])),
			condemned: line ? text(line) : ''
		};`);

describe('a head that comes back with', () => {
	it.each(SITUATIONS.map((one, i) => [one.name, one, i] as const))(
		'%s',
		async (_, { happened, named, stops = {}, springs = [] }, i) => {
			const { browser } = at;
			const path = await imported(returnedHead(String(9000 + i), happened));
			await browser.go(`${path}/diagnosis`);
			await browser.find('[data-answer]');
			const page = await shown();
			for (const [cause, stations] of Object.entries(named)) {
				const found = page.named.find((one) => one.cause === cause);
				expect(found, `${cause} among ${JSON.stringify(page.named)}`).toBeDefined();
				for (const station of stations) expect(found!.text).toContain(station);
			}
			expect(page.named).toHaveLength(Object.keys(named).length);
			expect(Object.keys(page.stops).toSorted()).toEqual(Object.keys(stops).toSorted());
			for (const [code, station] of Object.entries(stops))
				expect(page.stops[code]).toMatch(new RegExp(`^${station} `));
			expect(page.condemned).toBe(
				springs.length > 0 ? `Replace the springs at ${springs.join(' ')}.` : ''
			);
			expect(await browser.faults()).toEqual([]);
		}
	);
});
