/** A head comes back: from "this head is back" to the signed report, and its lash as found is not lost on the way. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { diagnosis } from './support/pages/diagnosis.ts';
import { sign } from './support/pages/sign.ts';
import { visitBegun } from './support/pages/visit-begun.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));
const folder = mkdtempSync(join(tmpdir(), 'zinc-out-'));

const stored = async (path: string): Promise<Job> => {
	const response = await fetch(`${at.app.url}/api${path}`);
	return ((await response.json()) as { job: Job }).job;
};
const address = () => at.browser.run<string>('return location.pathname');

describe('a head that is back', () => {
	let path = '';
	it('is taken in from its last signed sheet, with what happened since', async () => {
		const { browser } = at;
		const first = await browser.openJob('2402');
		const { engine } = await stored(first);
		await browser.go(`/engines/${engine.id}`);
		await browser.click('This head is back', 'a');
		await browser.sees('sheet 1, signed');
		await visitBegun(browser).hours('a season');
		await browser.fill('Highest speed, rpm', '7,800');
		await browser.fill('Complaint', 'stops pulling at an engine speed');
		await browser.fill('What the customer noticed', 'will not pull over 6800');
		await visitBegun(browser).begin();
		await until(async () => (await browser.all('[name=hours][aria-invalid=true]')).length === 1);
		expect(await browser.run('return document.querySelector("[name=hours]").value')).toBe(
			'a season'
		);
		await visitBegun(browser).hours('41');
		await visitBegun(browser).begin();
		await until(async () => (await address()).endsWith('/then'));
		path = (await address()).replace(/\/then$/, '');
		const job = await stored(path);
		expect(job.visitOf).toMatchObject({ number: '2402', revision: 1 });
		expect(job.since).toMatchObject([
			{ hours: 41, highestSpeed: 7800, complaint: 'stops-pulling' }
		]);
		expect([job.readings, job.setup.kinds.intake.reused?.includes('spring')]).toEqual([[], true]);
		expect(job.stations.map(({ shims }) => shims)).toEqual(
			(await stored(first)).stations.map(({ shims }) => shims)
		);
		expect(await browser.text('nav')).toContain('Changes');
		expect(await browser.faults()).toEqual([]);
	});
	it('asks for the lash as found first, and lets nobody set it without a reason', async () => {
		const { browser } = at;
		await browser.go(`${path}/round?of=lash`);
		await browser.click('As set now');
		await browser.click('Start', 'button');
		await browser.sees('Why is it not read as found?');
		expect((await stored(path)).readings).toEqual([]);
		await browser.click('As found, nothing turned');
		await browser.click('Start', 'button');
		for (const read of ['0.05', '0.28']) await browser.press(read, Key.ENTER);
		await until(async () => (await stored(path)).readings.length === 2);
		expect((await stored(path)).readings.map(({ lash }) => lash?.as)).toEqual(['found', 'found']);
		// Set now: what was found stays what it was found at.
		await browser.go(`${path}/round?of=lash`);
		await browser.begin();
		for (const read of ['0.20', '0.28']) await browser.press(read, Key.ENTER);
		await until(async () => (await stored(path)).readings.length === 4);
		await browser.go(`${path}/then`);
		await browser.click('All figures');
		await browser.sees('0.20 → 0.05');
	});
	it('tells what moved once it is measured, and weighs it', async () => {
		const { browser } = at;
		for (const [of, reads] of [
			['installed-height', ['35.57', '34.96']],
			['seal-gap', ['12.24', '12.12']]
		] as const) {
			await browser.beginRound(path, of);
			for (const read of reads) await browser.press(read, Key.ENTER);
		}
		await until(async () => (await stored(path)).readings.length === 8);
		await browser.go(`${path}/then`);
		await browser.sees('Seat or valve face sank 0.15 mm');
		await browser.go(`${path}/diagnosis`);
		await browser.sees('Most likely: seat or valve face recession, or stretched valve stem at 1I');
		expect(await browser.text('[data-cause=height-grew]')).toMatch(
			/installed height greater than on the last sheet \(1I \+0\.15 mm\)/
		);
		expect(await browser.text('[data-cause=height-grew]')).toMatch(
			/lash closed up \(1I −0\.15 mm\)/
		);
		expect(await browser.faults()).toEqual([]);
	});
	it('keeps looks with what was and was not seen, and one change at a time', async () => {
		const { browser } = at;
		await browser.click('All checks');
		await browser.click('Look under the cover', 'button');
		await browser.click('Hammered tips', 'label');
		await diagnosis(browser).atValves('1I 7X');
		await diagnosis(browser).keepFindings();
		await browser.sees('No such valve: 7X');
		await diagnosis(browser).atValves('1i');
		await diagnosis(browser).keepFindings();
		await until(async () => (await stored(path)).looks.length === 1);
		expect((await stored(path)).looks[0]).toMatchObject({
			check: 'look-under-cover',
			seen: [{ evidence: 'hammered-tips', stations: ['1I'] }]
		});
		await browser.fill('Changed', 'seat cut, valve set 0.15 up');
		await browser.fill('Tried how', 'two runs to 7400');
		await browser.click('Try it', 'button');
		await browser.sees('What did it do to the fault?');
		await browser.click('Gone', 'button');
		await until(async () => (await stored(path)).trials.length === 2);
		expect(await browser.faults()).toEqual([]);
	});
	it('is closed with what it proved to be, and what showed it', async () => {
		const { browser } = at;
		await browser.click('Close the case');
		await browser.fill('Which part, or what was done', 'seat 1I cut, valve set up');
		await browser.click('Close the case', 'button:not([aria-expanded])');
		await browser.sees('Case closed');
		expect((await stored(path)).outcomes).toMatchObject([
			{ causes: ['height-grew'], shownBy: 'part', note: 'seat 1I cut, valve set up' }
		]);
		await browser.go(await browser.run<string>('return location.pathname'));
		await browser.sees('the part taken out showed it (seat 1I cut, valve set up)');
	});
	it('takes one change before the first has its result, of twelve sent at once', async () => {
		const { people } = await stored(path);
		const trial = (n: number) =>
			fetch(`${at.app.url}/api${path}/entries/trials`, {
				method: 'POST',
				headers: { 'content-type': 'application/json', origin: at.app.url },
				body: JSON.stringify({
					id: `0197a999-0000-7000-8000-0000000001${10 + n}`,
					changed: 'jets',
					tried: 'one run',
					person: people[0]!.id,
					at: '2026-11-28T10:00:00.000Z'
				})
			});
		const statuses = await Promise.all(
			Array.from({ length: 12 }, async (_, n) => (await trial(n)).status)
		);
		expect(statuses.toSorted()).toEqual([200, ...Array<number>(11).fill(409)]);
		const second = await trial(12);
		expect([second.status, ((await second.json()) as { message: string }).message]).toEqual([
			409,
			expect.stringContaining('One change at a time')
		]);
	});
	it('is signed with a report of one page that says what moved and what was done', async () => {
		const { browser } = at;
		await browser.go(`${path}/sign`);
		await sign(browser).sign();
		await browser.sees('Sheet 1');
		const href = await browser.run<string>(
			`return document.querySelector('[data-signed="1"] a[href*="report.pdf"]').href`
		);
		const file = join(folder, 'report.pdf');
		writeFileSync(file, Buffer.from(await (await fetch(href)).arrayBuffer()));
		const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
		const plain = text.replace(/\s+/g, ' ');
		expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(/Pages:\s+1\n/);
		expect(plain).toContain('41 h, up to 7800 rpm');
		expect(plain).toContain('1 of 2 valves moved');
		expect(plain).toMatch(/\+0\.15 \(35\.42 to 35\.57\)/);
		expect(plain).toContain('Tried: seat cut, valve set 0.15 up, two runs to 7400: gone.');
		expect(plain).toMatch(/Signed by Runa Tarn.*SHA-256/);
	});
});
