/** A head that comes back: a job from its last signed sheet, with its springs and their service. */
import { readFileSync } from 'node:fs';
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { HISTORY, METRIC, type Job } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { deriveService, serviceWhenTested } from '../reporting/of-service';
import { rebuild } from '../reporting/rebuild';
import { loadDemo } from '../demo';
import { findHead, headsOfEngine, markHead, moveHead, visitsOfHead } from './heads';
import { loadJob } from '../jobs/load';
import { importJob, insertReadings } from '../jobs/store';
import { dueHeads, keepLimit, lossByBatch, visitsOfSet } from './service';
import { signedBefore, signJob } from '../signing/signed';
import { listSets } from '../springs/springs';
import { testDatabase, type TestDatabase } from '../test-database';
import { beginVisit, lastSignedOfHead } from './visits';

const load = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const twin = load('2409-twin-cam');
const person = twin.people[0]!;
const card = twin.setup.kinds.intake.spring!.id;

let test: TestDatabase;
let head: string;
beforeAll(async () => {
	test = await testDatabase('visits');
	expect((await importJob(test.db, twin)).problems).toEqual([]);
	head = (await headsOfEngine(test.db, twin.engine.id))[0]!.id;
});
afterAll(() => test.drop());

const back = (number: string, since: Parameters<typeof beginVisit>[2] = {}) =>
	beginVisit(test.db, { head, also: [], number }, since, person);
const items = () => test.db.selectFrom('service_item').selectAll().orderBy('item').execute();

describe('a head that comes back', () => {
	it('has nothing to start from before it was signed', async () => {
		await expect(back('5000')).rejects.toMatchObject({ status: 409 });
		expect(await lastSignedOfHead(test.db, head)).toBeUndefined();
	});
	it('begins a visit as it was signed, and is the same head', async () => {
		const { id: sheet } = await signJob(test.db, twin.id, person, METRIC);
		const id = await back('5001', { hours: 30, highestSpeed: 7000, overSpeed: 1 });
		const { job } = (await loadJob(test.db, id))!;
		expect(job.visitOf).toMatchObject({ job: twin.id, sheet, revision: 1 });
		expect(job.readings).toEqual([]);
		expect(job.since).toMatchObject([{ hours: 30, person: person.id }]);
		expect(job.heads[0]!.identity).toBe(head);
		expect(await visitsOfHead(test.db, head)).toEqual([id, twin.id]);
		expect((await signedBefore(test.db, id))!.job).toBe(twin.id);
	});
	it('counts what its parts ran, and what part of their life that is', async () => {
		const before = await items();
		expect(before.length).toBeGreaterThan(twin.stations.length);
		const springs = before.filter(({ part }) => part === 'spring');
		expect(springs.every(({ hours, used }) => hours === 30 && used === null)).toBe(true);
		await keepLimit(test.db, { part: card, duty: null, hours: 40, overSpeed: 0.1 }, person);
		const limited = (await items()).filter(({ part_id }) => part_id === card);
		expect(limited.length).toBeGreaterThan(0);
		for (const { used } of limited) expect(used).toBeCloseTo(0.85, 12);
		const own = { part: card, duty: twin.setup.use.duty, hours: 120 };
		await keepLimit(test.db, own, person);
		for (const { used } of (await items()).filter(({ part_id }) => part_id === card))
			expect(used).toBeCloseTo(0.25, 12);
	});
	it('says what is due, to the page and to whoever asks the database', async () => {
		const due = await dueHeads(test.db, 0.2);
		expect(due.length).toBeGreaterThan(0);
		expect(due[0]).toMatchObject({ head, engine: twin.engine.name, part: 'spring' });
		expect(await dueHeads(test.db, 0.9)).toEqual([]);
		const asked = [...readFileSync('docs/asking.md', 'utf8').matchAll(/```sql\n([^`]+)```/g)];
		const { rows } = await sql.raw<{ used: number }>(asked[3]![1]!).execute(test.db);
		expect(rows).toEqual([]);
		const sooner = asked[3]![1]!.replace('0.7', '0.2');
		expect((await sql.raw<{ used: number }>(sooner).execute(test.db)).rows[0]!.used).toBe(
			due[0]!.used
		);
	});
	it('counts on where parts stayed in, and anew where they were replaced', async () => {
		const [visit] = await visitsOfHead(test.db, head);
		const { job } = (await loadJob(test.db, visit!))!;
		const readings = twin.readings.map((reading) => ({ ...reading, id: uuid() }));
		const { kinds } = job.setup;
		const exhaust = { ...kinds.exhaust, reused: [] };
		await test.db
			.updateTable('job')
			.set({ setup: JSON.stringify({ ...job.setup, kinds: { ...kinds, exhaust } }) })
			.where('id', '=', job.id)
			.execute();
		await insertReadings(test.db, job.id, readings);
		await signAsItStands(job.id);
		await back('5002', { hours: 12 });
		const all = (await items()).filter(({ part }) => part === 'spring');
		const hours = (kind: string) =>
			new Set(
				all
					.filter(({ item, station }) => station.includes(kind) && item !== '')
					.map((one) => one.hours)
			);
		expect(hours('I')).toEqual(new Set([42]));
		expect(hours('E')).toEqual(new Set([30, 12]));
	});
	it('ran once where it was taken in twice after one sheet', async () => {
		const ran = async () =>
			new Set(
				(await items())
					.filter(({ part, station }) => part === 'spring' && station.includes('I'))
					.map(({ hours }) => hours)
			);
		expect(await ran()).toEqual(new Set([42]));
		await back('5090', { hours: 15 });
		expect(await ran()).toEqual(new Set([45]));
	});
	it('goes with its springs to another engine, and is marked', async () => {
		const other = { ...twin.engine, id: uuid(), name: 'Another' };
		await test.db
			.insertInto('engine')
			.values({ ...other, customer_id: twin.customer.id, layout: JSON.stringify(other.layout) })
			.execute();
		await markHead(test.db, head, 'casting 4471');
		await moveHead(test.db, head, other.id, twin.heads[0]!.id);
		expect(await headsOfEngine(test.db, twin.engine.id)).toEqual([]);
		expect(await findHead(test.db, head)).toMatchObject({
			engine: 'Another',
			mark: 'casting 4471'
		});
		const { job } = (await loadJob(test.db, await back('5003', { runs: 4 })))!;
		expect(job.engine.id).toBe(other.id);
		expect(job.heads[0]).toMatchObject({ identity: head, mark: 'casting 4471' });
	});
	it('is one head where two jobs of a new engine come in at once', async () => {
		const engine = { ...twin.engine, id: uuid() };
		const both = ['5010', '5011'].map((number): Job => {
			const bare = { ...structuredClone(twin), id: uuid(), number, engine };
			for (const list of HISTORY) (bare[list] as unknown[]) = [];
			return bare;
		});
		const kept = await Promise.all(both.map((job) => importJob(test.db, job)));
		expect(kept.flatMap(({ problems }) => problems)).toEqual([]);
		const [one, ...others] = await headsOfEngine(test.db, engine.id);
		expect(others).toEqual([]);
		expect((await visitsOfHead(test.db, one!.id)).toSorted()).toEqual(
			both.map(({ id }) => id).toSorted()
		);
	});
	it('is derived the same again, sweeps with what their springs had run', async () => {
		const before = await items();
		for (const id of (await visitsOfHead(test.db, head)).toReversed())
			await deriveService(test.db, (await loadJob(test.db, id))!.job);
		expect(await items()).toEqual(before);
		await serviceWhenTested(test.db, []);
	});
});

describe('sets over their service', () => {
	it('lose load by visit, and batches by the set', async () => {
		const demo = await testDatabase('service');
		try {
			await loadDemo(demo.db, 'demo');
			await rebuild(demo.db);
			const { sets } = await listSets(demo.db);
			const sprint = sets.find(({ name }) => name === 'Corvane sprint')!;
			const trend = await visitsOfSet(demo.db, sprint.id);
			expect(trend.map(({ visit, hours, springs }) => [visit, hours, springs])).toEqual([
				[1, 0, 16],
				[2, 14, 16],
				[3, 30, 16],
				[4, 45, 16]
			]);
			const loads = trend.map(({ load }) => load);
			expect(loads).toEqual(loads.toSorted((a, b) => b - a));
			const [batch] = await lossByBatch(demo.db, sprint.card!.id);
			expect(batch).toMatchObject({ sets: 1, springs: 16, spread: null, hours: 45 });
			expect(batch!.lost).toBeCloseTo(0.034, 2);
			const asked = [...readFileSync('docs/asking.md', 'utf8').matchAll(/```sql\n([^`]+)```/g)];
			const text = asked[4]![1]!.replace('$1', `'${sprint.id}'`);
			expect((await sql.raw(text).execute(demo.db)).rows).toHaveLength(4);
		} finally {
			await demo.drop();
		}
	});
});

/** A sheet of a job as it stands, whatever of it is open: what ran after it is what is looked at here. */
async function signAsItStands(id: string) {
	const { job } = (await loadJob(test.db, id))!;
	const last = (await lastSignedOfHead(test.db, head))!;
	const content = JSON.stringify({ ...JSON.parse(last.content), job });
	await test.db
		.insertInto('signed_sheet')
		.values({
			id: uuid(),
			job_id: id,
			revision: 1,
			content,
			entries: 0,
			sha256: '0'.repeat(64),
			person_id: person.id,
			at: new Date()
		})
		.execute();
}
