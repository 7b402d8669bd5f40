import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person, Sweep } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { Gauge } from '@zinc-ledger/core/gauge-schema';
import { loadDemo } from '../demo';
import { findGauge, insertCheck, listGauges, saveGauge } from '../parts/gauges';
import { setStation } from '../jobs/change';
import { loadJob } from '../jobs/load';
import { importJob, insertEntries } from '../jobs/store';
import { keepPhoto, listPhotos, makeSmall, photoContent } from '../jobs/photos';
import { addPerson } from '../people';
import { addSet, editSet, findSet, keepSweep, listSets, setMeasured, springsOf } from './springs';
import { testDatabase, type TestDatabase } from '../test-database';

let test: TestDatabase;
let person: Person;
beforeAll(async () => {
	test = await testDatabase('springs');
	person = (await addPerson(test.db, 'Idun Moss', 'XX'))!;
});
afterAll(() => test.drop());

const sweep = (tag: string, change: Partial<Sweep> = {}): Sweep => ({
	format: 'zinc-ledger/sweep',
	version: 1,
	id: crypto.randomUUID(),
	set: 'Trial',
	tag,
	tester: 'Bench',
	fixture: '5.36 mm',
	heightUnit: 'mm',
	loadUnit: 'N',
	points: [['51.588', '600.0', 'down']],
	person: 'Idun Moss',
	at: '2026-11-20T10:00:00.000Z',
	...change
});

describe('a set of springs', () => {
	let set = '';
	beforeAll(async () => {
		const about = { name: 'Trial', cardId: null, jobId: null, seat: '1.820 in', lift: '0.540 in' };
		set = await addSet(test.db, about, 3, person);
	});
	it('is tagged one after another, and untested', async () => {
		expect((await springsOf(test.db, set)).map(({ tag, sweeps }) => [tag, sweeps])).toEqual([
			['T1', []],
			['T2', []],
			['T3', []]
		]);
		expect(await findSet(test.db, set)).toMatchObject({ name: 'Trial', card: null, jobId: null });
		expect(await findSet(test.db, person.id)).toBeNull();
	});
	it('keeps each sweep once, however often it is sent, newest first', async () => {
		const [first, second] = [sweep('T1'), sweep('T1', { at: '2026-11-21T10:00:00.000Z' })];
		for (let i = 0; i < 3; i++) expect(await keepSweep(test.db, set, first, person)).toBe(true);
		await keepSweep(test.db, set, second, person);
		const [t1] = await springsOf(test.db, set);
		expect(t1!.sweeps).toEqual([second, first]);
		expect((await springsOf(test.db, set, 1))[0]!.sweeps).toEqual([second]);
	});
	it('has no spring that was never tagged', async () => {
		expect(await keepSweep(test.db, set, sweep('T9'), person)).toBe(false);
	});
	it('counts what is tested', async () => {
		expect((await listSets(test.db)).sets.find(({ id }) => id === set)).toMatchObject({
			springs: 3,
			tested: 1
		});
	});
	it('is said otherwise, and its springs are worked out by that', async () => {
		const about = { name: 'Cones', cardId: null, jobId: null, seat: '1.750 in', lift: '0.500 in' };
		expect(await editSet(test.db, set, { ...about, build: 'conical' })).toBe(true);
		expect(await findSet(test.db, set)).toMatchObject({
			name: 'Cones',
			build: 'conical',
			seat: '1.750 in'
		});
		const height = await test.db
			.selectFrom('spring_result')
			.select('height')
			.where('set_id', '=', set)
			.executeTakeFirstOrThrow();
		expect(height.height).toBeCloseTo(44.45, 9);
		expect(await editSet(test.db, person.id, about)).toBe(false);
	});
	it('keeps what was measured by hand', async () => {
		await setMeasured(test.db, set, 'T2', { outside: '1.437 in' });
		expect((await springsOf(test.db, set))[1]!.measured).toEqual({ outside: '1.437 in' });
	});
});

describe('gauges', () => {
	const gauge = Gauge.parse({
		id: '0197a444-0000-7000-8000-000000000001',
		name: 'Height gauge 9',
		type: 'height-gauge',
		resolution: '0.001 in'
	});
	it('are kept with their checks, in the order they were made', async () => {
		await saveGauge(test.db, gauge, null, person);
		const check = (id: number, at: string) => ({
			id: `0197a444-0000-7000-8000-00000000001${id}`,
			gauge: gauge.id,
			against: 'Standard',
			reference: '1.800 in',
			read: '1.801 in',
			person: person.id,
			at
		});
		const later = check(1, '2026-11-02T10:00:00.000Z');
		const earlier = check(2, '2026-11-01T10:00:00.000Z');
		for (const one of [later, earlier, later]) await insertCheck(test.db, one);
		expect((await findGauge(test.db, gauge.id))!.checks).toEqual([earlier, later]);
		expect((await listGauges(test.db)).map((known) => known.gauge.name)).toEqual([
			'Height gauge 9'
		]);
		await saveGauge(test.db, { ...gauge, name: 'Renamed' }, 1, person);
		expect((await findGauge(test.db, gauge.id))!.gauge.name).toBe('Renamed');
		expect(await findGauge(test.db, person.id)).toBeNull();
	});
});

describe('what is added to a job', () => {
	const read = readJob(readFileSync('demo/jobs/2421-marine-v8.json', 'utf8'));
	if (!read.ok) throw new Error('demo');
	const job = read.value;
	beforeAll(async () => {
		await importJob(test.db, job);
	});
	const stored = async () => (await loadJob(test.db, job.id))!.job;

	it('inspections, work and acceptances come back in their lists', async () => {
		const at = '2026-11-24T10:00:00.000Z';
		const seen = {
			id: crypto.randomUUID(),
			station: '1I',
			condition: 'new',
			tip: 'good',
			groove: 'good',
			stem: 'good',
			seatMark: 'even',
			person: person.id,
			at
		} as const;
		const work = { id: crypto.randomUUID(), work: 'guides', person: person.id, at } as const;
		for (let i = 0; i < 2; i++) await insertEntries(test.db, job.id, 'inspections', [seen]);
		await insertEntries(test.db, job.id, 'headWork', [work]);
		const { inspections, headWork, acceptances, people } = await stored();
		expect([inspections, headWork, acceptances]).toEqual([[seen], [work], []]);
		expect(people.map(({ id }) => id)).toContain(person.id);
	});
	it('a station’s own parts are set and taken off, each kept as a decision', async () => {
		const parts = { locks: { name: 'Own locks', offset: '0.030 in' } };
		await setStation(test.db, job.id, '3E', 'parts', parts, person);
		const entry = async () => (await stored()).stations.find(({ label }) => label === '3E')!;
		expect((await entry()).parts).toEqual(parts);
		await setStation(test.db, job.id, '3E', 'parts', undefined, person);
		expect((await entry()).parts).toBeUndefined();
		expect((await stored()).decisions.map(({ subject }) => subject)).toEqual([
			'stations.3E.parts',
			'stations.3E.parts'
		]);
		await expect(setStation(test.db, job.id, '9E', 'parts', parts, person)).rejects.toMatchObject({
			status: 404
		});
	});
	it('photos are kept with their station, as many as a station may have', async () => {
		const picture = await sharp({
			create: { width: 400, height: 300, channels: 3, background: '#abc' }
		})
			.png()
			.toBuffer();
		const made = await makeSmall(picture);
		if ('problem' in made) throw new Error(made.problem.code);
		expect([made.width, made.height]).toEqual([400, 300]);
		for (let i = 0; i < 12; i++) {
			expect(await keepPhoto(test.db, { job: job.id, station: '1I' }, made, person)).toHaveProperty(
				'id'
			);
		}
		expect(await keepPhoto(test.db, { job: job.id, station: '1I' }, made, person)).toEqual({
			problem: { code: 'photo.enough', params: { station: '1I', max: 12 } }
		});
		const photos = await listPhotos(test.db, job.id);
		expect(photos).toHaveLength(12);
		// A mark seen at a visit has photos of its own.
		const mark = { job: job.id, station: null, evidence: 'hammered-tips' } as const;
		expect(await keepPhoto(test.db, mark, made, person)).toMatchObject({
			station: null,
			evidence: 'hammered-tips'
		});
		expect((await listPhotos(test.db, job.id)).at(-1)).toMatchObject({ evidence: 'hammered-tips' });
		const bytes = (await photoContent(test.db, photos[0]!.id, 'thumbnail'))!;
		expect((await sharp(bytes).metadata()).width).toBe(240);
		expect(await photoContent(test.db, person.id, 'content')).toBeUndefined();
	});
});

describe('the demo', () => {
	it('is loaded once, whole, through the doors of a user’s files', async () => {
		const demo = await testDatabase('demo');
		try {
			await loadDemo(demo.db, 'demo');
			await loadDemo(demo.db, 'demo');
			const count = async (table: 'job' | 'gauge' | 'spring_set' | 'spring') =>
				(await demo.db.selectFrom(table).select('id').execute()).length;
			expect([await count('job'), await count('gauge'), await count('spring_set')]).toEqual([
				19, 4, 5
			]);
			expect(await count('spring')).toBe(62);
			const { sets } = await listSets(demo.db);
			const of = (number: string) => sets.find(({ jobNumber }) => jobNumber === number)!;
			expect(of('2417')).toMatchObject({ springs: 12, tested: 0 });
			expect(of('2405')).toMatchObject({ springs: 14, tested: 14 });
			expect(of('2417').card!.name).toBe('Fennick D-37 dual');
			const signed = await demo.db.selectFrom('signed_sheet').select('revision').execute();
			expect(signed).toEqual(Array.from({ length: 6 }, () => ({ revision: 1 })));
		} finally {
			await demo.drop();
		}
	});
});
