/** A database that the release before made, by its own code: it opens with everything in it. */
import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { sql } from 'kysely';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { evaluate } from '@zinc-ledger/core';
import { verifySheet } from '@zinc-ledger/core/signed';
import { loadJobs } from '../jobs/load';
import { sha256 } from '../signed';
import { springsOf } from '../springs';
import { photoContent } from '../photos';
import { testDatabase, type TestDatabase } from '../test-database';
import { migrate } from './migrate';

const OLD = 'web/src/lib/server/database/old/before-nothing-lost.sql.gz';
const KEPT = [
	'customer',
	'decision',
	'engine',
	'gauge_check',
	'head',
	'job',
	'job_entry',
	'photo',
	'reading',
	'reading_void',
	'signed_sheet',
	'spring',
	'spring_set',
	'station',
	'sweep'
] as const;

let test: TestDatabase;
let before: Record<string, string>;
beforeAll(async () => {
	test = await testDatabase('old', false);
	const client = new pg.Client(test.url);
	await client.connect();
	await client.query(gunzipSync(readFileSync(OLD)).toString('utf8'));
	await client.end();
	before = await digests();
	await migrate(test.db);
});
afterAll(() => test.drop());

/** What every row of a table says, in one digest. */
async function digests(): Promise<Record<string, string>> {
	const all = KEPT.map(async (table) => {
		const { rows } = await sql<{ digest: string }>`
			select count(*) || ' ' || md5(string_agg(md5(t::text), '' order by md5(t::text))) as digest
			from ${sql.table(`public.${table}`)} t
		`.execute(test.db);
		return [table, rows[0]!.digest] as const;
	});
	return Object.fromEntries(await Promise.all(all));
}

describe('a database of the release before', () => {
	it('has every row as it was: readings, photos, sweeps, decisions, signed sheets', async () => {
		expect(await digests()).toEqual(before);
		expect(before.reading).toMatch(/^\d\d+ /);
		for (const table of ['photo', 'sweep', 'signed_sheet', 'reading_void', 'job_entry'])
			expect(before[table]).not.toMatch(/^0 /);
	});
	it('its jobs open and are worked out, its signed sheet verifies', async () => {
		const ids = await test.db.selectFrom('job').select('id').orderBy('number').execute();
		const jobs = await loadJobs(
			test.db,
			ids.map(({ id }) => id)
		);
		expect(jobs.map(({ job }) => job.number)).toEqual(['2409', '2417', '2421', '2426']);
		for (const { job } of jobs) expect(evaluate(job).stations).toHaveLength(job.stations.length);
		const sheets = await test.db.selectFrom('signed_sheet').select('content').execute();
		for (const { content } of sheets)
			expect(verifySheet(content, sha256)).toMatchObject({ ok: true });
	});
	it('its photo and its sweep open, and its shelf is the sum of its moves', async () => {
		const photo = await test.db.selectFrom('photo').select('id').executeTakeFirstOrThrow();
		expect((await photoContent(test.db, photo.id, 'content'))!.subarray(8, 12).toString()).toBe(
			'WEBP'
		);
		const set = await test.db.selectFrom('spring_set').select('id').executeTakeFirstOrThrow();
		const springs = await springsOf(test.db, set.id);
		expect(springs.find(({ tag }) => tag === 'T1')!.sweeps).toHaveLength(1);
		const { rows } = await sql`
			select part.id from part
			left join stock_move on stock_move.part_id = part.id
			group by part.id having coalesce(part.stock, 0) <> coalesce(sum(change), 0)
		`.execute(test.db);
		expect(rows).toEqual([]);
	});
});
