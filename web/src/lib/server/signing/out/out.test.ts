import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import jsQR from 'jsqr';
import Papa from 'papaparse';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { METRIC, tightestStation, type Job } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { signSheet, type SignedSheet } from '@zinc-ledger/core/signed';
import { newShopKey, sha256, shopKey } from '@zinc-ledger/core/signed-node';
import { write } from '@zinc-ledger/words';
import { sheetCsv } from './csv';
import { headPlanSvg, sectionSvg } from './drawing';
import { paperOf } from '$lib/signing/paper/layout';
import { printedColumns } from '$lib/signing/paper/printed';
import { signedOut, type SignedOut } from './signed-out';
import { labelPdf, sheetPdf } from './pdf';

const key = shopKey(newShopKey());
const signed = (name: string, change: (job: Job) => Job = (job) => job): SignedOut => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	const job = change(read.value);
	const signing = {
		id: '0197a999-0000-7000-8000-000000000001',
		revision: 1,
		person: job.people[0]!,
		at: '2026-03-20T10:00:00.000Z'
	};
	const sheet = JSON.parse(signSheet(job, signing, METRIC, { sha256, write, key })) as SignedSheet;
	return signedOut(sheet);
};
const twin = signed('2409-twin-cam');
const six = signed('2417-straight-six');
const planOf = ({ job, sheet }: SignedOut) => ({ job, stations: sheet.stations });

describe('the columns of a signed sheet', () => {
	it('are those that hold anything, in the units of its signing', () => {
		const titles = printedColumns(twin.sheet).map(({ title, unit }) => `${title} ${unit}`);
		expect(titles).toContain('Seat load N');
		expect(titles).toContain('Shims mm');
		expect(titles).not.toContain('Vacuum ');
		expect(titles).not.toContain('As built mm');
	});
	it('show what was tried once it was', () => {
		const tried = signed('2409-twin-cam', (job) => ({
			...job,
			checks: [
				{
					id: '0197a999-0000-7000-8000-000000000009',
					type: 'vacuum',
					station: '1Ia',
					reached: '600 mbar',
					min: '500 mbar',
					seconds: 10,
					person: job.people[0]!.id,
					at: '2026-11-20T09:00:00Z'
				}
			]
		}));
		const column = printedColumns(tried.sheet).find(({ title }) => title === 'Vacuum')!;
		expect(tried.sheet.stations.map((station) => column.of(station)?.text)).toContain('600 mbar');
	});
});

describe('CSV', () => {
	it('has a line a valve, read back by a strict reader', () => {
		const { data, errors } = Papa.parse<Record<string, string>>(sheetCsv(six).trim(), {
			header: true
		});
		expect(errors).toEqual([]);
		expect(data).toHaveLength(12);
		const row = data.find(({ Valve }) => Valve === '4E')!;
		expect(row['Installed height, mm']).toBe('47.42');
		expect(row['State']).toBe('stop');
		expect(row['Remarks']).toContain('Shim 0.76 + 0.38');
	});
});

describe('paper', () => {
	it('takes whatever was typed: spaces among figures, odd numbers and signs', async () => {
		const odd = signed('2409-twin-cam', (job) => ({
			...job,
			number: '24 09 b',
			notes: [
				{
					id: '0197a999-0000-7000-8000-000000000008',
					text: 'Größe ½ "…" – ≤ 漢',
					private: false,
					blocksSignOff: false,
					person: job.people[0]!.id,
					at: '2026-11-20T09:00:00Z'
				}
			],
			stations: job.stations.map((station) => ({ ...station, shims: ['0.40 mm', '0.75 mm'] }))
		}));
		for (const size of ['A4', 'Letter'] as const)
			expect((await sheetPdf(odd, size, true)).subarray(0, 5).toString()).toBe('%PDF-');
		expect((await labelPdf(odd, 'http://shop/jobs/1')).length).toBeGreaterThan(5000);
	});
	it('has a code on its label that a camera reads: where the record is', async () => {
		const address = `http://shop.local:4600/jobs/${six.job.id}`;
		const input = await labelPdf(six, address);
		const png = execFileSync('pdftoppm', ['-r', '200', '-png', '-'], { input });
		const { data, info } = await sharp(png)
			.ensureAlpha()
			.raw()
			.toBuffer({ resolveWithObject: true });
		expect(jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data).toBe(address);
	});
});

describe('drawings', () => {
	it('the head plan names every valve and marks what is not clear', () => {
		const svg = headPlanSvg(planOf(six), 500);
		for (const { label } of six.job.stations) expect(svg).toContain(`>${label}</text>`);
		expect(svg.match(/#a9211c/g)).toHaveLength(1);
		expect(headPlanSvg(planOf(twin), 500)).not.toContain('#a9211c');
	});
	it('the section is of the valve with the least room before bind, as it was frozen', () => {
		const label = twin.section!.station;
		const min = Math.min(...twin.sheet.stations.map(({ figures }) => figures.bindMargin!.figure!));
		const own = twin.sheet.stations.find((station) => station.label === label)!;
		expect(own.figures.bindMargin!.figure).toBe(min);
		expect(sectionSvg(twin.section!.drawing, 130, 130, METRIC)).toMatch(
			/^<svg[^>]*>.*<circle.*<\/svg>$/
		);
		expect(tightestStation([])).toBeNull();
	});
	it('the paper of a sheet that froze no section has none, and draws nothing anew', async () => {
		const { section: _, ...before } = twin;
		const [old, now] = await Promise.all(
			[before, twin].map((sheet) => sheetPdf(sheet, 'A4', false))
		);
		const text = (pdf: Buffer) => execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf });
		expect(text(now!).toString()).toContain('closed on the left');
		expect(text(old!).toString()).not.toContain('closed on the left');
	});
});

describe('what a signature says', () => {
	const scope = (stations: string[], leftOut: { need: 'lash'; reason: string }[] = []) => {
		const job = twin.job;
		const signing = {
			id: '0197a999-0000-7000-8000-000000000001',
			revision: 1,
			person: job.people[0]!,
			at: '2026-03-20T10:00:00.000Z',
			scope: { name: 'measured' as const, stations, leftOut }
		};
		const text = signSheet(job, signing, METRIC, { sha256, write, key });
		return signedOut(JSON.parse(text) as SignedSheet);
	};
	const all = twin.job.stations.map(({ label }) => label);

	it('stands at the head of the sheet and of the customer’s copy, with what the job does without', () => {
		const whole = scope(all, [{ need: 'lash', reason: 'not on the engine' }]);
		for (const isCustomers of [false, true])
			expect(paperOf(whole, isCustomers).scope).toBe(
				'Measured, all 16 stations: no assembly is claimed; without lash or preload: not on the engine'
			);
	});
	it('leaves what it does not speak of “not looked at”, on paper and in CSV', () => {
		const one = scope(['1Ia']);
		const { scope: says, rows } = paperOf(one);
		expect(says).toContain('of 16 stations only 1Ia');
		expect(rows.filter(({ isLookedAt }) => isLookedAt).map(({ label }) => label)).toEqual(['1Ia']);
		const lines = Papa.parse<Record<string, string>>(sheetCsv(one).trim(), { header: true }).data;
		expect(lines.filter((line) => line.State === 'not looked at')).toHaveLength(15);
		expect(lines.find((line) => line.Valve === '1Ib')!['Installed height, mm']).toBe('');
	});
	it('is “signed before scopes” where the sheet is older', () => {
		expect(paperOf(twin).scope).toBe('Signed before scopes');
	});
});
