/** What forbids running the engine: shown on every page of the head, at sign-off and before a trial. */
import { beforeAll, describe, expect, it } from 'vitest';
import { until } from './support/app.ts';
import { visit } from './support/visit.ts';
import { diagnosis } from './support/pages/diagnosis.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));

describe('a spring that is cracked', () => {
	let path = '';
	const banner = () =>
		at.browser.text('[aria-label="Do not run or crank this engine"] [data-stop=spring-cracked]');
	const isShown = () =>
		at.browser.run<boolean>('return document.querySelector("[data-stop]") !== null');

	it('forbids running the engine, at its valve, on every page of the head', async () => {
		const { browser } = at;
		path = await browser.openJob('2425');
		expect(await isShown()).toBe(false);
		await browser.go(`${path}/diagnosis`);
		await browser.click('Cracked or broken spring', 'label');
		await diagnosis(browser).atValves('2E');
		await diagnosis(browser).keepFindings();
		await until(isShown);
		expect(await banner()).toMatch(/^2E Cracked, broken or pitted spring\. Do not compress it/);
		for (const page of ['', '/plan', '/then', '/sign', '/control']) {
			await browser.go(`${path}${page}`);
			await until(isShown);
		}
		expect(await browser.faults()).toEqual([]);
	});
	it('is never reused, and must be accepted with a reason before a sheet is signed', async () => {
		const { browser } = at;
		await browser.go(`${path}/sign`);
		await browser.sees('Cracked, broken or pitted spring. Do not compress it');
		expect(await browser.text('main')).toMatch(/2E[^.]*Cracked, broken or pitted spring/);
	});
	it('lets nobody try anything, in the browser or at the server', async () => {
		const { browser } = at;
		await browser.go(`${path}/diagnosis`);
		await browser.sees('Nothing can be tried while the engine must not be run');
		const { job } = (await (await fetch(`${at.app.url}/api${path}`)).json()) as {
			job: { people: { id: string }[] };
		};
		const answer = await fetch(`${at.app.url}/api${path}/entries/trials`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin: at.app.url },
			body: JSON.stringify({
				id: '0197a999-0000-7000-8000-000000000210',
				changed: 'plugs',
				tried: 'one run',
				person: job.people[0]!.id,
				at: '2026-11-28T10:00:00.000Z'
			})
		});
		expect(answer.status).toBe(409);
		expect(((await answer.json()) as { message: string }).message).toContain('must not be run');
	});
	it('is settled by a newer check that finds none', async () => {
		const { browser } = at;
		await browser.click('All checks');
		await browser.click('Look at the springs', 'button');
		await browser.click('Cracked or broken spring', 'label');
		await diagnosis(browser).keepFindings();
		await until(async () => !(await isShown()));
		expect(await browser.faults()).toEqual([]);
	});
});
