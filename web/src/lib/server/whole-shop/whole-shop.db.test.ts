/** A whole shop out in the open formats, and in again somewhere else. */
import { cp, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { evaluate } from '@zinc-ledger/core';
import { rebuild } from '../reporting/rebuild';
import { loadDemo } from '../demo';
import { loadJob } from '../jobs/load';
import { keepPhoto, makeSmall } from '../jobs/photos';
import { changeLimits } from '../shop';
import { testDatabase, type TestDatabase } from '../test-database';
import { exportShop } from './export';
import { readShop } from './format';
import { importShop } from './import';

let shop: TestDatabase;
let other: TestDatabase;
let folder: string;
let counts: Awaited<ReturnType<typeof exportShop>>;
beforeAll(async () => {
	shop = await testDatabase('whole_shop');
	other = await testDatabase('whole_other');
	await loadDemo(shop.db, 'demo');
	await rebuild(shop.db);
	const person = await shop.db.selectFrom('person').selectAll().executeTakeFirstOrThrow();
	const job = await shop.db.selectFrom('job').select('id').executeTakeFirstOrThrow();
	await changeLimits(shop.db, [{ field: 'limits.bindMargin', from: null, to: '0.070 in' }], person);
	const picture = { width: 90, height: 60, channels: 3, background: '#456' } as const;
	const made = await makeSmall(await sharp({ create: picture }).png().toBuffer());
	if ('problem' in made) throw new Error(made.problem.code);
	await keepPhoto(shop.db, { job: job.id, station: null }, made, person);
	folder = join(await mkdtemp(join(tmpdir(), 'zinc-whole-')), 'shop');
	counts = await exportShop(shop.db, folder);
});
afterAll(async () => {
	await shop.drop();
	await other.drop();
	await rm(join(folder, '..'), { recursive: true, force: true });
});

/** All that a query says, row by row. */
const contentOf = async (of: TestDatabase, query: string) => {
	const { rows } = await sql<{ row: string }>`
		select one::text as row from (${sql.raw(query)}) one order by one::text
	`.execute(of.db);
	return rows.map(({ row }) => row);
};

describe('a whole shop', () => {
	it('goes out in files that need no program: JSON, CSV and PDF', async () => {
		expect(counts).toMatchObject({ photos: 1 });
		expect(counts.jobs).toBeGreaterThan(15);
		expect(counts.sheets).toBeGreaterThan(5);
		expect(counts.sweeps).toBeGreaterThan(20);
		const files = await readdir(folder, { recursive: true });
		for (const name of ['shop.json', 'parts.json', 'parts/spring.csv', 'kits.csv'])
			expect(files).toContain(name);
		const signed = files.filter((name) => /jobs\/2402\/signed\/1\.(json|csv|pdf)$/.test(name));
		expect(signed).toHaveLength(3);
		await expect(exportShop(shop.db, folder)).rejects.toThrow('is not empty');
	});
	it('comes in again with the same sheets, signed and worked out', async () => {
		expect(await importShop(other.db, folder)).toEqual(counts);
		const ids = await shop.db.selectFrom('job').select('id').execute();
		for (const { id } of ids) {
			const before = (await loadJob(shop.db, id))!.job;
			const after = (await loadJob(other.db, id))!.job;
			expect(after).toEqual(before);
			expect(JSON.stringify(evaluate(after))).toBe(JSON.stringify(evaluate(before)));
		}
		for (const query of [
			'select id, job_id, revision, entries, content, sha256, person_id, at from signed_sheet',
			'select * from station_result',
			'select id, name, initials from person',
			'select id, type, doc, stock, retired from part',
			'select id, doc from kit',
			'select id, doc from template',
			'select id, doc from gauge',
			'select id, gauge_id, doc, at from gauge_check',
			'select id, engine_id, place, mark from cylinder_head',
			'select job_id, id, name, cylinder_head_id, stated from head',
			'select id, set_id, position, tag, measured from spring',
			'select id, name, card_id, job_id, seat, lift, build, limits, created_by, date_trunc($$milliseconds$$, created_at) from spring_set',
			'select id, spring_id, doc, person_id, at from sweep',
			'select * from spring_result',
			'select * from service_item',
			'select job_id, stations, stops, unclear from job_state',
			'select field, "from", "to", person_id, date_trunc($$milliseconds$$, at) from shop_limit',
			'select part_id, duty, hours, over_speed, person_id, date_trunc($$milliseconds$$, at) from service_limit',
			'select id, job_id, station, width, height, content, person_id, date_trunc($$milliseconds$$, at) from photo'
		])
			expect(await contentOf(other, query), query).toEqual(await contentOf(shop, query));
	});
	it('opens where an earlier release wrote it, by the names that things had then', async () => {
		const text = await readFile(join(folder, 'shop.json'), 'utf8');
		const of = (replaced: string) => JSON.parse(replaced) as { version: number };
		const now = of(text.replaceAll('limits.bindMargin', 'limits.vacuum.min'));
		const before = of(
			text.replaceAll('"type":', '"sort":').replaceAll('limits.bindMargin', 'limits.vacuum.least')
		);
		expect(JSON.stringify(before)).toContain('"sort":"height-gauge"');
		expect(readShop({ ...before, version: 1 }).data).toEqual(now);
		expect(readShop({ ...now, version: 3 }).success).toBe(false);
	});
	it('comes in whole or not at all, and names the file that is wrong', async () => {
		await expect(importShop(other.db, folder)).rejects.toThrow('is not empty');
		const broken = `${folder}-broken`;
		await cp(folder, broken, { recursive: true });
		const file = join(broken, 'jobs/2402/signed/1.json');
		await writeFile(
			file,
			(await readFile(file, 'utf8')).replace(/\d/, (digit) => `${9 - Number(digit)}`)
		);
		const empty = await testDatabase('whole_empty');
		try {
			await expect(importShop(empty.db, broken)).rejects.toThrow('jobs/2402/signed/1.json');
			expect(await contentOf(empty, 'select id from person')).toEqual([]);
			await rm(join(broken, 'parts.json'));
			await expect(importShop(empty.db, broken)).rejects.toThrow('parts.json');
		} finally {
			await empty.drop();
		}
	});
});
