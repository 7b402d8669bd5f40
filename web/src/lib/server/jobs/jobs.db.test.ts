import { readFileSync } from 'node:fs';
import { sql } from 'kysely';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { evaluate, type Job, type Person } from '@zinc-ledger/core';
import { checkJob, readJob } from '@zinc-ledger/core/file';
import { connect } from '../database/connection';
import { migrate } from '../database/migrate';
import {
	acceptPlan,
	answerQuestion,
	changesBetween,
	saveFiringOrder,
	saveSetup,
	setStation,
	withdrawPlan
} from './change';
import { findJobIds, nextJobNumber } from './find';
import { findReadings, loadJob } from './load';
import { importedBy, importJob, insertReadings, insertVoids, noteImport } from './store';
import { setCount } from '../parts/stock';
import { findPart, keepParts, listParts } from '../parts/parts';
import { listGaugesWithRepeats, saveGauge } from '../parts/gauges';
import { storeReadings } from './readings';
import { testDatabase, type TestDatabase } from '../test-database';

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
		expect(again.problems[0]!.text.code).toBe('import.job-there');
		const stolen = { ...six, id: '0197a222-0000-7000-8000-000000000001', number: '9999' };
		const { problems } = await importJob(test.db, stolen);
		expect(problems).toEqual([
			{ path: 'readings[0].id', text: { code: 'import.entry-elsewhere' } }
		]);
		expect(await loadJob(test.db, stolen.id)).toBeUndefined();
	});

	it('records who imported it, apart from who made its entries', async () => {
		const person = { id: twinCam.people[0]!.id } as Person;
		await noteImport(test.db, six.id, person);
		expect(await importedBy(test.db, six.id)).toBe(twinCam.people[0]!.name);
		expect(await importedBy(test.db, twinCam.id)).toBeNull();
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
		await Promise.all([1, 2, 3].map(() => insertReadings(test.db, six.id, [reading])));
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
		await insertVoids(test.db, six.id, [entry]);
		await insertVoids(test.db, six.id, [entry]);
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

describe('plans and repeats', () => {
	const plan = (n: number, label = '1I') => ({
		id: `0197a222-0000-7000-8000-0000000001${String(n).padStart(2, '0')}`,
		proven: true,
		stations: [{ label, shims: ['0.030 in', '0.015 in'], spring: `T${n}` }],
		person: person.id,
		at: '2026-03-12T10:00:00.000Z'
	});
	const station = async () =>
		(await stored(six.id)).job.stations.find(({ label }) => label === '1I')!;

	it('an accepted plan is kept, and the build is what it says; twice is harmless', async () => {
		await acceptPlan(test.db, six.id, plan(1));
		await acceptPlan(test.db, six.id, plan(1));
		const { job } = await stored(six.id);
		const before = six.stations.filter(({ label }) => label === plan(1).stations[0]!.label);
		expect(job.plans).toEqual([{ ...plan(1), before }]);
		expect(await station()).toMatchObject({ shims: ['0.030 in', '0.015 in'], spring: 'T1' });
	});
	it('the next supersedes it, both kept', async () => {
		await acceptPlan(test.db, six.id, plan(2));
		expect((await stored(six.id)).job.plans.map(({ id }) => id)).toEqual([plan(1).id, plan(2).id]);
		expect((await station()).spring).toBe('T2');
	});
	it('one for a station that is not there changes nothing', async () => {
		await expect(acceptPlan(test.db, six.id, plan(3, '9I'))).rejects.toMatchObject({ status: 404 });
		expect((await stored(six.id)).job.plans).toHaveLength(2);
	});
	it('takes its locks off the shelf of the library, and is refused whole where they are gone', async () => {
		const locks = {
			id: '0197a222-0000-7000-8000-0000000002aa',
			name: 'Plus locks',
			offset: '1 mm'
		};
		const part = { ...six.setup.kinds.intake.locks!, ...locks };
		await keepParts(test.db, [{ type: 'locks', part, stock: 1, retired: false }]);
		const shelf = async () => (await findPart(test.db, locks.id))!.stock;
		const withLocks = (n: number, labels: string[]) => ({
			...plan(n),
			stations: labels.map((label) => ({ label, shims: [], locks: part }))
		});
		await expect(acceptPlan(test.db, six.id, withLocks(4, ['1I', '1E']))).rejects.toMatchObject({
			says: { params: { part: 'Plus locks', required: 2, stock: 1 } }
		});
		expect([await shelf(), (await stored(six.id)).job.plans.length]).toEqual([1, 2]);
		await acceptPlan(test.db, six.id, withLocks(5, ['1I']));
		await acceptPlan(test.db, six.id, withLocks(6, ['1I']));
		expect(await shelf()).toBe(0);
		expect((await station()).shims).toEqual([]);
	});
	it('takes new springs off the shelf once, and gives them back with the plan alone', async () => {
		const { id: card, ...spring } = six.setup.kinds.intake.spring!;
		await keepParts(test.db, [
			{ type: 'spring', part: { ...spring, id: card }, stock: null, retired: false }
		]);
		await setCount(test.db, card, 2, { reason: 'counted', person: null });
		const shelf = async () => (await findPart(test.db, card))!.stock;
		const withNew = (n: number, labels: string[]) => ({
			...plan(n),
			stations: labels.map((label) => ({ label, shims: [], newSpring: true as const }))
		});
		await expect(acceptPlan(test.db, six.id, withNew(7, ['1I', '1E', '2I']))).rejects.toMatchObject(
			{ says: { params: { required: 3, stock: 2 } } }
		);
		await acceptPlan(test.db, six.id, withNew(8, ['1I']));
		expect([await shelf(), (await station()).newSpring]).toEqual([1, true]);
		expect((await station()).spring).toBeUndefined();
		// Another plan moves it to another valve: it is the same spring.
		const moved = withNew(9, ['1E']);
		const stay = { label: '1I', shims: [], spring: 'T2' };
		await acceptPlan(test.db, six.id, { ...moved, stations: [...moved.stations, stay] });
		expect([await shelf(), (await station()).newSpring]).toEqual([1, undefined]);
		// Tested and tagged it lies on no shelf again; with the plan it does.
		const tagged = { ...plan(10, '1E'), stations: [{ label: '1E', shims: [], spring: 'T9' }] };
		await acceptPlan(test.db, six.id, tagged);
		expect(await shelf()).toBe(1);
		await withdrawPlan(test.db, six.id, tagged.id, 'wrong spring', person);
		expect(await shelf()).toBe(1);
		await withdrawPlan(test.db, six.id, moved.id, 'not needed', person);
		await withdrawPlan(test.db, six.id, plan(8).id, 'not needed', person);
		expect(await shelf()).toBe(2);
	});
	it('many are stored at once, all or none, and the newest of their stations come back', async () => {
		const base = six.readings[0]!;
		const many = Array.from({ length: 45 }, (_, i) => ({
			...base,
			id: `0197a223-0000-7000-8000-0000000000${String(i).padStart(2, '0')}`,
			station: i % 2 ? '5I' : '5E'
		}));
		const count = async () => (await stored(six.id)).job.readings.length;
		const before = await count();
		const lost = [...many.slice(0, 3), { ...base, id: many[3]!.id, station: '9I' }];
		await expect(storeReadings(test.db, six.id, lost)).rejects.toMatchObject({ status: 404 });
		const nobody = [{ ...many[0]!, person: '0197a223-0000-7000-8000-0000000000ff' }];
		await expect(storeReadings(test.db, six.id, nobody)).rejects.toMatchObject({ status: 400 });
		expect(await count()).toBe(before);
		const answers = await storeReadings(test.db, six.id, many);
		await storeReadings(test.db, six.id, many.slice(0, 5));
		expect(await count()).toBe(before + 45);
		expect(answers).toHaveLength(40);
		expect(answers.at(-1)).toMatchObject(many[43]!);
	});
	it('repeats keep their set and the correction in force, and every change is told of', async () => {
		const client = new pg.Client({ connectionString: test.url });
		await client.connect();
		const answers: string[] = [];
		client.on('notification', ({ payload }) => answers.push(payload ?? ''));
		await client.query('listen job_change');
		const reading = {
			...six.readings[0]!,
			id: '0197a222-0000-7000-8000-000000000201',
			set: '0197a222-0000-7000-8000-000000000202',
			gauge: {
				name: 'Height gauge 1',
				resolution: '0.0005 in',
				gain: 1.0004,
				correction: '-0.01270 mm',
				correctionError: '0.00400 mm'
			}
		};
		try {
			await insertReadings(test.db, six.id, [reading]);
			expect(await findReadings(test.db, [reading.id])).toEqual([reading]);
			await client.query('select 1');
			expect(answers.map((text) => JSON.parse(text) as unknown)).toContainEqual({
				job: six.id,
				reading: reading.id
			});
		} finally {
			await client.end();
		}
	});

	it('a reading keeps when it came and what its browser’s clock was ahead by, and is refused for neither', async () => {
		const reading = {
			...six.readings[0]!,
			id: '0197a222-0000-7000-8000-000000000221',
			at: '2036-11-20T08:00:00.000Z'
		};
		const arrived = new Date('2026-11-27T08:00:00.000Z');
		const sent = new Date('2036-11-27T08:00:00.000Z');
		await storeReadings(test.db, six.id, [reading], { arrived, sent });
		await storeReadings(
			test.db,
			six.id,
			[{ ...reading, id: '0197a222-0000-7000-8000-000000000222' }],
			{
				arrived,
				sent: null
			}
		);
		const { job } = await stored(six.id);
		const clockOf = (id: string) => job.readings.find((one) => one.id === id)!.clock;
		expect(clockOf(reading.id)).toEqual({
			arrived: arrived.toISOString(),
			ahead: 3653 * 86400
		});
		expect(clockOf('0197a222-0000-7000-8000-000000000222')).toEqual({
			arrived: arrived.toISOString()
		});
		expect(checkJob(job).ok).toBe(true);
	});

	it('an accepted plan is taken back with a reason: builds and shelf are as before, once', async () => {
		const { job: before } = await stored(twinCam.id);
		const [first, second] = before.stations;
		const plan = {
			id: '0197a222-0000-7000-8000-000000000231',
			proven: true,
			stations: [
				{ label: first!.label, shims: ['0.75 mm'] },
				{ label: second!.label, shims: [] }
			],
			person: person.id,
			at: '2026-11-27T08:00:00.000Z'
		};
		await acceptPlan(test.db, twinCam.id, plan);
		const { job: planned } = await stored(twinCam.id);
		expect(planned.stations[0]!.shims).toEqual(['0.75 mm']);
		expect(planned.plans.at(-1)!.before!.map(({ label }) => label)).toEqual([
			first!.label,
			second!.label
		]);
		await expect(
			withdrawPlan(test.db, twinCam.id, '0197a222-0000-7000-8000-00000000dead', 'no', person)
		).rejects.toMatchObject({ status: 409 });
		await withdrawPlan(test.db, twinCam.id, plan.id, 'wrong springs', person);
		const { job: back } = await stored(twinCam.id);
		expect(back.stations).toEqual(before.stations);
		const counts = (of: Job) =>
			Object.fromEntries(of.setup.shimStock.map(({ thickness, count }) => [thickness, count]));
		expect(counts(back)).toEqual(counts(before));
		expect(back.plans.at(-1)).toMatchObject({ withdraws: plan.id, note: 'wrong springs' });
		expect(checkJob(back).ok).toBe(true);
		await expect(withdrawPlan(test.db, twinCam.id, plan.id, 'again', person)).rejects.toMatchObject(
			{ status: 409 }
		);
	});

	it('what somebody said to a question of the sheet is a decision', async () => {
		await answerQuestion(test.db, six.id, 'heads.A.forgotten.locator', false, person);
		const { job } = await stored(six.id);
		expect(job.decisions.at(-1)).toMatchObject({
			subject: 'heads.A.forgotten.locator',
			to: false,
			person: person.id
		});
		await expect(
			answerQuestion(
				test.db,
				'0197a777-0000-7000-8000-00000000dead',
				'heads.A.forgotten.locator',
				true,
				person
			)
		).rejects.toMatchObject({ status: 404 });
	});

	it('a gauge’s repeats on all jobs tell how it repeats', async () => {
		const gauge = {
			id: '0197a222-0000-7000-8000-000000000240',
			name: 'G',
			resolution: '0.01 mm',
			correction: '0 mm'
		};
		await saveGauge(test.db, {
			id: gauge.id,
			name: 'G',
			type: 'height-gauge',
			lengthUnit: 'mm',
			loadUnit: 'N',
			dueMonths: 12
		});
		const pair = (job: Job, n: number, reads: readonly string[]) =>
			reads.map((read, i) => ({
				...job.readings[0]!,
				id: `0197a222-0000-7000-8000-0000000003${n}${i}`,
				read,
				gauge,
				set: `0197a222-0000-7000-8000-0000000004${n}0`
			}));
		await storeReadings(test.db, six.id, pair(six, 1, ['46.00 mm', '46.02 mm']));
		await storeReadings(test.db, twinCam.id, pair(twinCam, 2, ['40.00 mm', '40.04 mm']));
		const known = (await listGaugesWithRepeats(test.db)).find((one) => one.gauge.id === gauge.id)!;
		// √((0.02² + 0.04²) ÷ 2 ÷ 2): each pair's half difference squared, twice, over two degrees
		expect(known.repeats!['installed-height']!.freedom).toBe(2);
		expect(known.repeats!['installed-height']!.deviation).toBeCloseTo(Math.sqrt(0.0005), 9);
		await insertVoids(test.db, six.id, [
			{
				id: '0197a222-0000-7000-8000-000000000350',
				reading: '0197a222-0000-7000-8000-000000000311',
				reason: 'slipped',
				person: person.id,
				at: '2026-11-27T08:00:00.000Z'
			}
		]);
		const left = (await listGaugesWithRepeats(test.db)).find((one) => one.gauge.id === gauge.id)!;
		expect(left.repeats!['installed-height']!.freedom).toBe(1);
	});

	it('other springs on the job take off the tags that named the first, with who and when', async () => {
		const tagged = (set: string, job: Job) => ({
			...job.setup,
			springs: ['T1', 'T2'].map((tag) => ({
				tag,
				set,
				card: job.setup.kinds.intake.spring!.id,
				points: ['1.820 in', '1.500 in', '1.280 in'].map((height, i) => ({
					height,
					load: `${130 + i * 90} lbf`
				}))
			}))
		});
		const put = async (set: string) => {
			const { job, revision } = await stored(six.id);
			await saveSetup(test.db, six.id, revision, tagged(set, job), person);
		};
		const [first] = six.stations;
		await put('First');
		await acceptPlan(test.db, six.id, {
			id: '0197a222-0000-7000-8000-000000000030',
			proven: true,
			stations: [{ label: first!.label, shims: first!.shims, spring: 'T2' }],
			person: person.id,
			at: '2026-11-20T10:00:00.000Z'
		});
		await put('First');
		expect((await stored(six.id)).job.stations[0]!.spring).toBe('T2');
		await put('Second');
		const { job } = await stored(six.id);
		expect(job.stations[0]!.spring).toBeUndefined();
		expect(job.decisions.at(-1)).toMatchObject({
			subject: `stations.${first!.label}.spring`,
			from: 'T2',
			person: person.id
		});
		expect(checkJob(job)).toMatchObject({ ok: true });
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
			expect(loaded.setup.limits.fit.sealClearance).toBe('1.00 mm');
			expect(evaluate(loaded).stations).toHaveLength(12);
			expect(await findJobIds(old.db, 'harrow', 5)).toEqual([job]);
			const cards = await listParts(old.db, { type: 'spring' });
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

describe('the firing order', () => {
	it('is kept with the engine, and who changed it on the job, once', async () => {
		const firingOrder = [1, 4, 2, 6, 3, 5];
		await saveFiringOrder(test.db, six.id, firingOrder, person);
		const known = (await loadJob(test.db, six.id))!.job.decisions.length;
		await saveFiringOrder(test.db, six.id, firingOrder, person);
		const { job } = (await loadJob(test.db, six.id))!;
		expect(job.engine.layout).toEqual({ ...six.engine.layout, firingOrder });
		expect(job.decisions).toHaveLength(known);
		expect(job.decisions.at(-1)).toMatchObject({
			subject: 'engine.layout.firingOrder',
			to: '1-4-2-6-3-5',
			person: person.id
		});
	});
	it('that cannot be is refused, and nothing is changed', async () => {
		const before = (await loadJob(test.db, six.id))!.job;
		await expect(
			saveFiringOrder(test.db, six.id, [1, 1, 2, 6, 3, 5], person)
		).rejects.toMatchObject({ status: 400 });
		await expect(
			saveFiringOrder(test.db, '0197a777-0000-7000-8000-00000000dead', [1], person)
		).rejects.toMatchObject({ status: 404 });
		expect((await loadJob(test.db, six.id))!.job).toEqual(before);
	});
});
