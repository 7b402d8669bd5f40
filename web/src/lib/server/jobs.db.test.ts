import { readFileSync } from 'node:fs';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { evaluate, type Job } from '@zinc-ledger/core';
import { checkJob, readJob } from '@zinc-ledger/core/file';
import { connect } from './database/connection';
import { migrate } from './database/migrate';
import {
	changesBetween,
	findJobIds,
	importJob,
	insertReading,
	insertVoid,
	loadJob,
	nextJobNumber,
	saveSetup,
	setStation
} from './jobs';
import { listParts } from './parts';
import { testDatabase, type TestDatabase } from './test-database';

const demo = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const six = demo('2417-straight-six');
const twinCam = demo('2409-twin-cam');
const person = six.people[0]!;

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('jobs');
	for (const job of [six, twinCam]) expect(await importJob(test.db, job)).toEqual({ problems: [] });
});
afterAll(() => test.drop());

const stored = async (id: string) => (await loadJob(test.db, id))!;

describe('a job in the database', () => {
	it.each([six, twinCam])('$number comes out as it went in', async (job) => {
		expect((await stored(job.id)).job).toEqual(job);
	});

	it('is not taken in twice, and nothing of it is written', async () => {
		const again = await importJob(test.db, { ...six, readings: [] });
		expect(again.problems[0]!.message).toContain('already in the book');
		const stolen = { ...six, id: '0197a222-0000-7000-8000-000000000001', number: '9999' };
		const { problems } = await importJob(test.db, stolen);
		expect(problems).toEqual([
			{ path: 'readings[0].id', message: 'this reading already belongs to another job' }
		]);
		expect(await loadJob(test.db, stolen.id)).toBeUndefined();
	});

	it('is written whole or not at all', async () => {
		const broken = structuredClone(six);
		Object.assign(broken, { id: '0197a222-0000-7000-8000-000000000002', number: '9998' });
		broken.readings = [
			{ ...six.readings[0]!, id: '0197a222-0000-7000-8000-000000000003', station: '9I' }
		];
		await expect(importJob(test.db, broken)).rejects.toThrow('reading_station');
		expect(await loadJob(test.db, broken.id)).toBeUndefined();
	});

	it('is found by number, customer, engine and contact, with signs taken as they are', async () => {
		const found = (text: string) => findJobIds(test.db, text, 10);
		expect(await found('2417')).toEqual([six.id]);
		expect(await found('harrow')).toEqual([six.id]);
		expect(await found('KESTLER')).toEqual([twinCam.id]);
		expect(await found('%')).toEqual([]);
		expect(await found('')).toHaveLength(2);
		expect(await found('Kesler twn cam')).toEqual([twinCam.id]);
		expect(await found('harow hil')).toEqual([six.id]);
		expect(await nextJobNumber(test.db)).toBe('2418');
	});
});

describe('readings', () => {
	const reading = { ...six.readings[0]!, id: '0197a222-0000-7000-8000-000000000010' };

	it('are stored once, however often they come', async () => {
		await Promise.all([1, 2, 3].map(() => insertReading(test.db, six.id, reading)));
		const ids = (await stored(six.id)).job.readings.map(({ id }) => id);
		expect(ids.filter((id) => id === reading.id)).toHaveLength(1);
	});

	it('are struck through, and stay', async () => {
		const entry = {
			id: '0197a222-0000-7000-8000-000000000011',
			reading: reading.id,
			reason: 'slipped',
			person: person.id,
			at: '2026-11-20T10:00:00.000Z'
		};
		await insertVoid(test.db, six.id, entry);
		await insertVoid(test.db, six.id, entry);
		const { job } = await stored(six.id);
		expect(job.voids.filter(({ id }) => id === entry.id)).toEqual([entry]);
		expect(job.readings.some(({ id }) => id === reading.id)).toBe(true);
	});

	it.each(['reading', 'reading_void', 'decision'])('%s refuses changes', async (table) => {
		await setStation(test.db, six.id, '1I', 'shims', six.stations[0]!.shims, person);
		await expect(sql`update ${sql.table(table)} set at = now()`.execute(test.db)).rejects.toThrow(
			'append-only'
		);
		await expect(sql`delete from ${sql.table(table)}`.execute(test.db)).rejects.toThrow(
			'append-only'
		);
	});
});

describe('changes', () => {
	it('of a set-up are kept leaf by leaf, with who and when', async () => {
		const { job, revision } = await stored(twinCam.id);
		const setup = structuredClone(job.setup);
		setup.limits.bindFloor = '1.40 mm';
		delete setup.use.workDone;
		expect(await saveSetup(test.db, job.id, revision, setup, person)).toBe(revision + 1);
		const { decisions } = (await stored(twinCam.id)).job;
		const fresh = decisions.slice(job.decisions.length);
		expect(fresh.map(({ subject, to, person: by }) => [subject, to, by])).toEqual([
			['setup.use.workDone', undefined, person.id],
			['setup.limits.bindFloor', '1.40 mm', person.id]
		]);
	});

	it('by the second of two people at once are refused', async () => {
		const { job, revision } = await stored(twinCam.id);
		const answers = await Promise.all(
			['a', 'b'].map((duty) =>
				saveSetup(test.db, job.id, revision, { ...job.setup, use: { duty } }, person)
			)
		);
		expect(answers.filter((answer) => answer === null)).toHaveLength(1);
	});

	it('are found at the leaves', () => {
		expect(changesBetween({ a: { b: 1, c: [1] } }, { a: { b: 2, c: [1], d: 3 } })).toEqual([
			{ subject: 'a.b', from: 1, to: 2 },
			{ subject: 'a.d', from: undefined, to: 3 }
		]);
	});
});

describe('migrations', () => {
	it('bring a book of the first release along: its jobs, limits, cards and what they are found by', async () => {
		const old = await testDatabase('first_release', false);
		try {
			await migrate(old.db, '0001-first-slice');
			const { fit: _, ...limits } = six.setup.limits;
			const setup = JSON.stringify({ ...six.setup, limits });
			const card = JSON.stringify(six.setup.kinds.intake.spring);
			const [job, customer, engine] = [six.id, six.customer.id, six.engine.id];
			await sql`insert into customer (id, name) values (${customer}, ${six.customer.name})`.execute(
				old.db
			);
			await sql`insert into engine (id, customer_id, name, layout) values
				(${engine}, ${customer}, ${six.engine.name}, ${JSON.stringify(six.engine.layout)}::jsonb)`.execute(
				old.db
			);
			await sql`insert into job (id, number, customer_id, engine_id, taken_in, setup) values
				(${job}, '2417', ${customer}, ${engine}, now(), ${setup}::jsonb)`.execute(old.db);
			await sql`insert into head (job_id, id, position, name) values (${job}, 'A', 0, 'head')`.execute(
				old.db
			);
			for (const [i, station] of six.stations.entries()) {
				await sql`insert into station (job_id, label, position, head_id, entry) values
					(${job}, ${station.label}, ${i}, 'A', ${JSON.stringify(station)}::jsonb)`.execute(old.db);
			}
			await sql`insert into spring_card (id, card) values (${six.setup.kinds.intake.spring!.id}, ${card}::jsonb)`.execute(
				old.db
			);

			await migrate(old.db);
			const loaded = (await loadJob(old.db, job))!.job;
			expect(checkJob(loaded).ok).toBe(true);
			expect(loaded.setup.limits.fit.sealPlay).toBe('1.00 mm');
			expect(evaluate(loaded).stations).toHaveLength(12);
			expect(await findJobIds(old.db, 'harrow', 5)).toEqual([job]);
			const cards = await listParts(old.db, { sort: 'spring' });
			expect(cards.map(({ part }) => part.name)).toEqual(['Fennick D-37 dual']);
		} finally {
			await old.drop();
		}
	});

	it('run once from empty, however many processes start together', async () => {
		const empty = await testDatabase('empty', false);
		const others = [connect(empty.url), connect(empty.url)];
		try {
			await Promise.all([empty.db, ...others].map((db) => migrate(db)));
			await importJob(empty.db, six);
			expect((await loadJob(empty.db, six.id))!.job).toEqual(six);
		} finally {
			await Promise.all(others.map((other) => other.destroy()));
			await empty.drop();
		}
	});
});
