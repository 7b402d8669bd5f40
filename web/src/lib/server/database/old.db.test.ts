/** A database that the release before made, by its own code: it opens with everything in it. */
import { readdirSync, readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { sql } from 'kysely';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { changedSince, evaluate, type Job } from '@zinc-ledger/core';
import { checkJob, readJob } from '@zinc-ledger/core/file';
import { figureOfVersion1, verifySheet } from '@zinc-ledger/core/signed';
import { sheetCrypto } from '@zinc-ledger/core/signed-node';
import { deriveMissing } from '../reporting/rebuild';
import { loadJobs } from '../jobs/load';
import { newestSigned } from '../signing/signed';
import { springsOf } from '../springs/springs';
import { photoContent } from '../jobs/photos';
import { testDatabase, type TestDatabase } from '../test-database';
import type { Database } from './connection';
import { migrate } from './migrate';

/** Dumps by release: what each brought is its name. */

type FrozenStation = Parameters<typeof figureOfVersion1>[0];
const RELEASES = ['before-nothing-lost', 'before-stable-codes'] as const;
/** Tables in which no release since has changed a letter. */
const KEPT = [
	'customer',
	'gauge_check',
	'reading_void',
	'signed_sheet',
	'spring',
	'sweep'
] as const;
/** Tables in which values became codes: no row came or went. */
const CODED = ['decision', 'engine', 'gauge', 'job', 'job_entry', 'part', 'station'] as const;

/** What the rows of a table, or some of its columns, say in one digest. */
async function digestOf(db: Database, table: string, columns: string): Promise<string> {
	const { rows } = await sql<{ digest: string }>`
		select count(*) || ' ' || md5(string_agg(md5(t::text), '' order by md5(t::text))) as digest
		from (select ${sql.raw(columns)} from ${sql.table(`public.${table}`)}) t
	`.execute(db);
	return rows[0]!.digest;
}

/** Value, unit, person, time and gauge of each reading, and everything else but what it is of. */
const READING =
	'id, job_id, station, read, gauge, in_place, engine_state, set_id, lash, clock, person_id, at, position';

/** A photo as it was; which kit's paper it is of came later. */
const PHOTO = 'id, job_id, station, width, height, content, thumbnail, person_id, at';

/** A head of a job as it was; which one it is, wherever it is fitted, came later. */
const HEAD = 'job_id, id, position, name';

/** A set of springs as it was; how they are wound where no card says so came later. */
const SET = 'id, name, card_id, job_id, seat, lift, limits, created_at, created_by';

async function digests(db: Database): Promise<Record<string, string>> {
	const of: [string, string][] = [
		...KEPT.map((table): [string, string] => [table, '*']),
		...CODED.map((table): [string, string] => [table, '1 as row']),
		['reading', READING],
		['head', HEAD],
		['photo', PHOTO],
		['spring_set', SET]
	];
	const all = of.map(
		async ([table, columns]) => [table, await digestOf(db, table, columns)] as const
	);
	return Object.fromEntries(await Promise.all(all));
}

async function restoreDump({ url }: TestDatabase, release: string): Promise<void> {
	const client = new pg.Client(url);
	await client.connect();
	const dump = readFileSync(`web/src/lib/server/database/old/${release}.sql.gz`);
	await client.query(gunzipSync(dump).toString('utf8'));
	await client.end();
}

describe.each(RELEASES)('a database of the release %s', (release) => {
	let test: TestDatabase;
	let before: Record<string, string>;
	beforeAll(async () => {
		test = await testDatabase('old', false);
		await restoreDump(test, release);
		before = await digests(test.db);
		await migrate(test.db);
	});
	afterAll(() => test.drop());
	it('is asked like one of today', async () => {
		await deriveMissing(test.db);
		const count = async (text: string) =>
			(await sql.raw<{ n: number }>(text).execute(test.db)).rows[0]!.n;
		expect(await count('select count(*)::int as n from job_state')).toBe((await jobs()).length);
		expect(await count('select count(distinct sheet_id)::int as n from station_result')).toBe(
			await count('select count(*)::int as n from signed_sheet')
		);
		expect(await count('select count(*)::int as n from spring_result')).toBe(
			await count('select count(*)::int as n from sweep')
		);
		expect(
			await count(`select count(*)::int as n from part where type = 'shim' and thickness is null`)
		).toBe(0);
	});
	const jobs = async () => {
		const ids = await test.db.selectFrom('job').select('id').orderBy('number').execute();
		return loadJobs(
			test.db,
			ids.map(({ id }) => id)
		);
	};

	it('has every row as it was: readings to the letter, photos, sweeps, signed sheets', async () => {
		expect(await digests(test.db)).toEqual(before);
		expect(before.reading).toMatch(/^\d\d+ /);
		for (const table of ['photo', 'sweep', 'signed_sheet', 'reading_void', 'job_entry'])
			expect(before[table]).not.toMatch(/^0 /);
	});
	it('keeps its lists append-only afterwards', async () => {
		for (const table of ['reading', 'decision', 'job_entry'])
			await expect(sql`delete from ${sql.table(table)}`.execute(test.db)).rejects.toThrow();
	});
	it('holds jobs that are files of this release, and are worked out', async () => {
		for (const { job } of await jobs()) {
			const checked = checkJob(JSON.parse(JSON.stringify(job)));
			expect(checked).toMatchObject({ ok: true });
			expect(evaluate(job).stations).toHaveLength(job.stations.length);
		}
	});
	it('says of no signed job that it was changed by it', async () => {
		const signed = await newestSigned(
			test.db,
			(await jobs()).map(({ job }) => job.id)
		);
		expect(signed.size).toBeGreaterThan(0);
		for (const { job } of await jobs()) {
			const last = signed.get(job.id);
			if (last) expect(changedSince(job, last)).toBe(false);
		}
	});
	it('has sheets that verify as they were signed, and name what is known less well by now', async () => {
		const sheets = await test.db.selectFrom('signed_sheet').select('content').execute();
		expect(sheets.length).toBeGreaterThan(0);
		for (const { content } of sheets) {
			const verified = verifySheet(content, sheetCrypto);
			expect(verified.ok).toBe(true);
			if (!verified.ok) continue;
			expect(verified.signer).toBe('none');
			const job = checkJob(verified.signed.job);
			if (!job.ok) throw new Error('no job');
			const now = evaluate(job.value).stations;
			const then = (verified.signed.sheet as unknown as { stations: FrozenStation[] }).stations;
			for (const { station, figure } of verified.differences) {
				const is = now.find(({ label }) => label === station)!.figures[figure]!;
				const frozen = then.find(({ label }) => label === station)!;
				const was = (
					verified.signed.version === 1 ? figureOfVersion1(frozen, figure) : frozen.figures[figure]
				)!;
				// The figure is the same, and how well it is known is no longer overrated.
				expect([station, figure, is.figure]).toEqual([station, figure, was.figure]);
				expect(is.uncertainty).toBeGreaterThanOrEqual(was.uncertainty);
			}
		}
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

describe('a database of version 2 of the documents', () => {
	let test: TestDatabase;
	let before: Record<string, string>;
	beforeAll(async () => {
		test = await testDatabase('old', false);
		await restoreDump(test, 'before-standard-names');
		before = await digests(test.db);
		await migrate(test.db);
	});
	afterAll(() => test.drop());
	const allJobs = async () => {
		const ids = await test.db.selectFrom('job').select('id').orderBy('number').execute();
		return loadJobs(
			test.db,
			ids.map(({ id }) => id)
		);
	};

	it('has every row, and its readings, sweeps and signed sheets to the letter', async () => {
		expect(await digests(test.db)).toEqual(before);
	});
	it('holds jobs that are valid files of the current version, with the figures they had', async () => {
		const jobs = await allJobs();
		expect(jobs).toHaveLength(19);
		for (const { job } of jobs)
			expect(checkJob(JSON.parse(JSON.stringify(job)))).toMatchObject({ ok: true });
		const kept = readdirSync('core/old/version-2/jobs').map((name) => {
			const read = readJob(readFileSync(`core/old/version-2/jobs/${name}`, 'utf8'));
			if (!read.ok) throw new Error(name);
			return read.value;
		});
		const figuresOf = (job: Job) =>
			evaluate(job).stations.map(({ label, figures }) => [label, figures]);
		for (const before of kept) {
			const { job } = jobs.find((one) => one.job.id === before.id)!;
			expect(JSON.stringify(figuresOf(job)), before.number).toBe(JSON.stringify(figuresOf(before)));
		}
	});
	it('has signed sheets that verify with every figure as it was', async () => {
		const sheets = await test.db.selectFrom('signed_sheet').select('content').execute();
		expect(sheets).toHaveLength(6);
		for (const { content } of sheets)
			expect(verifySheet(content, sheetCrypto)).toMatchObject({ ok: true, same: true });
	});
	it('says of no signed job that it was changed by it', async () => {
		const jobs = await allJobs();
		const signed = await newestSigned(
			test.db,
			jobs.map(({ job }) => job.id)
		);
		expect(signed.size).toBeGreaterThan(0);
		for (const { job } of jobs) {
			const last = signed.get(job.id);
			if (last) expect(changedSince(job, last)).toBe(false);
		}
	});
	it('uses the current field names in documents and decisions', async () => {
		const { rows } = await sql<{ n: number }>`
			select (select count(*) from part where doc::text like '%"sort"%')
				+ (select count(*) from gauge where doc::text like '%"sort"%')
				+ (select count(*) from job where setup::text like '%"sort"%')
				+ (select count(*) from job_entry where entry::text like '%"sort"%' or entry ->> 'finding' ~ '^F[0-9]+ ')
				+ (select count(*) from decision where subject like '%sort%' or "from"::text like '%"sort"%') as n
		`.execute(test.db);
		expect(Number(rows[0]!.n)).toBe(0);
		const decided = await test.db
			.selectFrom('decision')
			.select(['subject', 'from', 'to'])
			.where('subject', '=', 'setup.kinds.intake.lift.type')
			.execute();
		expect(decided).toMatchObject([{ from: 'lobe', to: 'valve' }]);
	});
	it('keeps its lists append-only afterwards', async () => {
		for (const table of ['decision', 'job_entry'])
			await expect(sql`delete from ${sql.table(table)}`.execute(test.db)).rejects.toThrow();
	});
});
