/** Lists of jobs narrowed and ordered, and what an engine's page tells of its last visit. */
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { INCH_POUND, type Job, type Person } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { JOB_ORDERS, type JobQuery } from '$lib/job/store/list';
import { deriveJobs } from '../reporting/of-job';
import { lastSigned } from './customers';
import { addPerson } from '../people';
import { signJob } from '../signing/signed';
import { testDatabase, type TestDatabase } from '../test-database';
import { saveSetup } from './change';
import { listJobIds } from './list';
import { loadJob } from './load';
import { importJob } from './store';

const demo = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
};
const six = demo('2417-straight-six');
const twin = demo('2409-twin-cam');
/** The same engine, here again, nothing measured yet. */
const again: Job = {
	...six,
	id: '0197a222-0000-7000-8000-00000000a001',
	number: '12417',
	takenIn: '2026-12-01T08:00:00.000Z',
	readings: [],
	voids: [],
	decisions: [],
	plans: [],
	assembly: [],
	checks: [],
	acceptances: [],
	notes: [],
	headWork: [],
	inspections: []
};

let test: TestDatabase;
let person: Person;
const list = async (query: Partial<JobQuery>) => {
	const asked: JobQuery = { find: '', filter: 'all', order: 'received', reversed: false, ...query };
	const ids = await listJobIds(test.db, asked, 10);
	return ids.map((id) => [six, twin, again].find((job) => job.id === id)!.number);
};
beforeAll(async () => {
	test = await testDatabase('list');
	person = (await addPerson(test.db, 'Idun Moss', 'IM'))!;
	for (const job of [six, twin, again])
		expect(await importJob(test.db, job)).toEqual({ problems: [] });
	await deriveJobs(test.db, [six.id, twin.id, again.id]);
});
afterAll(() => test.drop());

describe('a list of jobs', () => {
	it('stands newest first, and the other way round', async () => {
		expect(await list({})).toEqual(['12417', '2417', '2409']);
		expect(await list({ reversed: true })).toEqual(['2409', '2417', '12417']);
	});
	it.each([
		['number', ['12417', '2417', '2409']],
		['customer', ['2409', '12417', '2417']],
		['engine', ['12417', '2417', '2409']],
		['stops', ['2417', '12417', '2409']]
	] as const)('by %s', async (order, numbers) => {
		expect(await list({ order })).toEqual(numbers);
		expect((await list({ order, reversed: true })).toSorted()).toEqual([...numbers].toSorted());
	});
	it('is narrowed by what is typed as well', async () => {
		expect(await list({ find: 'harrow', order: 'number', reversed: true })).toEqual([
			'2417',
			'12417'
		]);
		expect(await list({ find: 'kestler', filter: 'came-back' })).toEqual([]);
		expect(await list({ find: 'nobody', order: 'engine' })).toEqual([]);
	});
	it('holds those whose engine was here before', async () => {
		expect(await list({ filter: 'came-back' })).toEqual(['12417']);
	});
	it('holds those that wait for parts, once somebody counted', async () => {
		expect(await list({ filter: 'waiting' })).toEqual([]);
		const { job, revision } = (await loadJob(test.db, six.id))!;
		const shimStock = job.setup.shimStock.map((size) => ({ ...size, count: 0 }));
		await saveSetup(test.db, six.id, revision, { ...job.setup, shimStock }, person);
		await deriveJobs(test.db, [six.id]);
		expect(await list({ filter: 'waiting' })).toEqual(['2417']);
	});
	it('holds those signed within a week, and no more among those not signed', async () => {
		expect(await list({ filter: 'signed-this-week' })).toEqual([]);
		expect(await list({ filter: 'open' })).toHaveLength(3);
		const { job } = (await loadJob(test.db, twin.id))!;
		await signJob(test.db, job.id, person, INCH_POUND);
		await deriveJobs(test.db, [twin.id]);
		expect(await list({ filter: 'signed-this-week' })).toEqual(['2409']);
		expect(await list({ filter: 'open' })).toEqual(['12417', '2417']);
	});
	it('holds what was built and not measured since', async () => {
		expect(await list({ filter: 'to-verify' })).toEqual([]);
		await test.db
			.updateTable('job_stage')
			.set({ done: true })
			.where('job_id', '=', again.id)
			.where('stage', '=', 'assembly')
			.execute();
		expect(await list({ filter: 'to-verify' })).toEqual(['12417']);
	});
	it.each(JOB_ORDERS)('by %s holds each job once', async (order) => {
		expect(new Set(await list({ order })).size).toBe(3);
	});
});

describe('an engine', () => {
	it('has the figures that were signed of it last, and none before', async () => {
		expect(await lastSigned(test.db, six.engine.id)).toBeNull();
		const signed = (await lastSigned(test.db, twin.engine.id))!;
		expect(signed).toMatchObject({ number: '2409', revision: 1, person: 'Idun Moss' });
		const [first] = signed.figures;
		expect(first!.station).toBe(twin.stations[0]!.label);
		expect(signed.figures.filter(({ figure }) => figure === 'height')).toHaveLength(16);
	});
});
