/** What a shop asks, by the very questions that the documentation lists. */
import { readFileSync } from 'node:fs';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { evaluate, METRIC, openItems, type Job, type Person, type Sweep } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { saveSetup } from '../jobs/change';
import { jobLines } from '../jobs/lines';
import { loadJob } from '../jobs/load';
import { importJob, insertEntries, insertReadings } from '../jobs/store';
import { keepParts } from '../parts/parts';
import { addPerson } from '../people';
import { countInOrOut } from '../parts/stock';
import { signJob } from '../signing/signed';
import { addSet, keepSweep, setMeasured, springsOf } from '../springs/springs';
import { testDatabase, type TestDatabase } from '../test-database';
import { deriveMissing, rebuild } from './rebuild';

const [waiting, losing, signedOf] = [
	...readFileSync('docs/asking.md', 'utf8').matchAll(/```sql\n([^`]+)```/g)
].map(([, sql]) => sql!);

let test: TestDatabase;
let client: pg.Client;
let person: Person;
let six: Job;
const asked = async (sql: string, values: unknown[] = []) =>
	(await client.query<Record<string, unknown>>(sql, values)).rows;

beforeAll(async () => {
	test = await testDatabase('asked');
	client = new pg.Client(test.url);
	await client.connect();
	person = (await addPerson(test.db, 'Idun Moss', 'IM'))!;
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error('the demo job does not read');
	six = read.value;
	await importJob(test.db, six);
});
afterAll(async () => {
	await client.end();
	await test.drop();
});

describe('which jobs wait for parts', () => {
	const shim = (thickness: string, stock: number) => ({
		type: 'shim' as const,
		part: { id: uuid(), name: `Shim ${thickness}`, thickness },
		stock,
		retired: false
	});
	it('is none while the shelf has what is suggested, or nobody counted', async () => {
		await jobLines(test.db, [six.id]);
		expect(await asked('select part, wanted from part_need order by thickness')).toEqual([
			{ part: 'shim', wanted: 1 },
			{ part: 'shim', wanted: 1 }
		]);
		expect(await asked(waiting!)).toEqual([]);
	});
	it('is one once the library has less of a size, and no more once it has', async () => {
		const none = shim('0.015 in', 0);
		await keepParts(test.db, [shim('0.030 in', 2), none], person);
		const short = await asked(waiting!);
		expect(short).toMatchObject([
			{ number: '2417', part: 'shim', thickness: expect.closeTo(0.381, 6), wanted: 1, there: 0 }
		]);
		await countInOrOut(test.db, none.part.id, 1, 'bought', person);
		expect(await asked(waiting!)).toEqual([]);
	});
	it('is one where no size that the job has would do', async () => {
		const { job, revision } = (await loadJob(test.db, six.id))!;
		const shimStock = job.setup.shimStock.map((size) => ({ ...size, count: 0 }));
		await saveSetup(test.db, six.id, revision, { ...job.setup, shimStock }, person);
		await jobLines(test.db, [six.id]);
		expect(await asked(waiting!)).toMatchObject([{ part: 'shim', thickness: null, wanted: 1 }]);
		await saveSetup(test.db, six.id, revision + 1, job.setup, person);
	});
	it('names what nobody chose', async () => {
		const { job, revision } = (await loadJob(test.db, six.id))!;
		const { retainer: _, ...without } = job.setup.kinds.exhaust;
		const setup = { ...job.setup, kinds: { ...job.setup.kinds, exhaust: without } };
		await saveSetup(test.db, six.id, revision, setup, person);
		await jobLines(test.db, [six.id]);
		expect(await asked(waiting!)).toContainEqual(
			expect.objectContaining({ part: 'retainer', kind: 'exhaust', wanted: 6, there: 0 })
		);
		await saveSetup(test.db, six.id, revision + 1, job.setup, person);
	});
});

describe('how springs lose load', () => {
	const card = { id: uuid(), name: 'Fennick D-37 dual', batch: 'B7' };
	const sweep = (tag: string, at: string, seat: number): Sweep => ({
		format: 'zinc-ledger/sweep',
		version: 1,
		id: uuid(),
		set: 'Trial',
		tag,
		tester: 'Bench',
		fixture: '0 mm',
		heightUnit: 'mm',
		loadUnit: 'N',
		// A straight spring of 60 N/mm with this load at 46 mm.
		points: Array.from({ length: 13 }, (_, i) => [
			(48 - i).toFixed(2),
			(seat + 60 * (i - 2)).toFixed(1),
			'down'
		]),
		person: 'Idun Moss',
		at
	});
	let set = '';
	beforeAll(async () => {
		const part = { ...card, seat: '46 mm', load: '600 N', rate: '60 N/mm', bind: '29 mm' };
		await keepParts(
			test.db,
			[{ type: 'spring', part, stock: null, retired: false }] as unknown as Parameters<
				typeof keepParts
			>[1],
			person
		);
		const about = { name: 'Trial', cardId: card.id, jobId: six.id, seat: '46 mm', lift: '10 mm' };
		set = await addSet(test.db, about, 3, person);
	});
	it('is told by card, batch and visit: two sweeps of a day are one visit', async () => {
		for (const [tag, first, second] of [
			['T1', 600, 570],
			['T2', 620, 601.4]
		] as const) {
			await keepSweep(test.db, set, sweep(tag, '2026-01-10T09:00:00.000Z', first), person);
			await keepSweep(test.db, set, sweep(tag, '2026-01-10T10:00:00.000Z', first), person);
			await keepSweep(test.db, set, sweep(tag, '2026-06-10T09:00:00.000Z', second), person);
		}
		const rows = await asked(losing!, [card.id, 'B7']);
		expect(rows.map(({ visit, springs }) => [visit, springs])).toEqual([
			[1, 2],
			[2, 2]
		]);
		expect(rows[0]).toMatchObject({
			seat_load: expect.closeTo(610, 0),
			lost: expect.closeTo(0, 6)
		});
		expect(rows[1]).toMatchObject({
			seat_load: expect.closeTo(585.7, 0),
			lost: expect.closeTo(0.04, 2)
		});
		expect(await asked(losing!, [card.id, 'B8'])).toEqual([]);
	});
	it('that cannot be derived now is kept all the same, and derived later', async () => {
		await asked('alter table spring_result rename to put_away');
		const kept = await keepSweep(
			test.db,
			set,
			sweep('T3', '2026-01-10T09:00:00.000Z', 590),
			person
		);
		await asked('alter table put_away rename to spring_result');
		expect(kept).toBe(true);
		const count = async () => (await asked(`select 1 from spring_result where tag = 'T3'`)).length;
		expect(await count()).toBe(0);
		await deriveMissing(test.db);
		expect(await count()).toBe(1);
	});
	it('follows what is known of the spring: its serial number, a bind placed by hand', async () => {
		const by = { person: 'IM', at: '2026-06-11T09:00:00.000Z' };
		await setMeasured(test.db, set, 'T1', { serial: 'S-104', bind: { height: '30 mm', ...by } });
		const rows = await asked('select serial, bind, rate from spring_result where tag = $1', ['T1']);
		expect(rows).toHaveLength(3);
		for (const row of rows)
			expect(row).toEqual({ serial: 'S-104', bind: 30, rate: expect.closeTo(60, 1) });
		expect((await springsOf(test.db, set))[0]!.measured.serial).toBe('S-104');
	});
});

describe('what was signed', () => {
	it('is a row a figure and station, to the digit of the sheet', async () => {
		const job = (await loadJob(test.db, six.id))!.job;
		const sheet = evaluate(job);
		for (const item of openItems(job, sheet))
			if (item.severity === 'acceptance' && !item.acceptance)
				await insertEntries(test.db, six.id, 'acceptances', [
					{
						id: uuid(),
						finding: item.key,
						accepted: true,
						reason: 'agreed',
						person: person.id,
						at: new Date().toISOString()
					}
				]);
		await asked(
			`update job set setup = setup || '{"leftOut":[{"need":"sealClearance","reason":"later"}]}' where id = $1`,
			[six.id]
		);
		await signJob(test.db, six.id, person, METRIC, { name: 'measured', stations: ['4E'] });
		expect(await asked(signedOf!, [six.id, '1I'])).toEqual([]);
		const rows = await asked(signedOf!, [six.id, '4E']);
		const { figures } = sheet.stations.find(({ label }) => label === '4E')!;
		expect(rows.find(({ figure }) => figure === 'height')).toEqual({
			revision: 1,
			figure: 'height',
			value: figures.height.figure,
			uncertainty: figures.height.uncertainty,
			state: 'stop'
		});
		expect(rows.find(({ figure }) => figure === 'seatLoad')).toMatchObject({
			value: figures.seatLoad.figure
		});
	});
});

describe('all of it', () => {
	const TABLES = ['job_state', 'job_stage', 'part_need', 'station_result', 'spring_result'];
	const all = async () => {
		const tables: unknown[][] = [];
		for (const table of TABLES)
			tables.push(await asked(`select t::text as row from ${table} t order by 1`));
		return tables;
	};
	it('made anew is what it was', async () => {
		const reading = { ...six.readings[0]!, id: uuid(), station: '5E' };
		await insertReadings(test.db, six.id, [reading]);
		await jobLines(test.db, [six.id]);
		const before = await all();
		for (const rows of before) expect(rows.length).toBeGreaterThan(0);
		await rebuild(test.db);
		expect(await all()).toEqual(before);
		await deriveMissing(test.db);
		expect(await all()).toEqual(before);
	});
});
