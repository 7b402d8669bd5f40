/** What comes twice, at once, or under a name that is taken: stored once, told, and never lost. */
import { readFileSync } from 'node:fs';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Job, type Plan } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { acceptPlan, saveSetup, setStation, withdrawPlan } from './jobs/change';
import { loadJob } from './jobs/load';
import { jobLines } from './jobs/lines';
import { takeForJob } from './jobs/shelf';
import { importJob, insertEntries, insertReadings, insertVoids } from './jobs/store';
import { AlreadyKept } from './jobs/once';
import { saveGauge } from './parts/gauges';
import { keepParts, listParts, pageOfParts, PAGE } from './parts/parts';
import { addPerson } from './people';
import { keepPhoto } from './jobs/photos';
import { Short, takenBy } from './parts/stock';
import { testDatabase, type TestDatabase } from './test-database';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const six = read.value;
const person = six.people[0]!;

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('nothing_lost');
	await importJob(test.db, six);
});
afterAll(() => test.drop());

const stored = async (id = six.id) => (await loadJob(test.db, id))!;
/** The same job with ids of its own, as if another head of its type had come in. */
function another(number: string, change: Partial<Job> = {}): Job {
	return {
		...six,
		id: uuid(),
		number,
		readings: [],
		voids: [],
		decisions: [],
		inspections: [],
		headWork: [],
		acceptances: [],
		plans: [],
		assembly: [],
		checks: [],
		notes: [],
		...change
	};
}

describe('an entry that comes again', () => {
	const reading = { ...six.readings[0]!, id: '0197b000-0000-7000-8000-000000000001' };
	it('is let be where it is the same, whatever the case of its id or the zone of its clock', async () => {
		await insertReadings(test.db, six.id, [reading]);
		const again = {
			...reading,
			id: reading.id.toUpperCase(),
			at: reading.at.replace('Z', '+00:00'),
			clock: { arrived: new Date().toISOString() }
		};
		await insertReadings(test.db, six.id, [again]);
	});
	it('is refused with other content, on another job, or twice over in one message', async () => {
		const other = { ...reading, read: '1.999 in' };
		await expect(insertReadings(test.db, six.id, [other])).rejects.toThrow(AlreadyKept);
		const job = another('B-1');
		await importJob(test.db, job);
		await expect(insertReadings(test.db, job.id, [reading])).rejects.toThrow(AlreadyKept);
		const twice = { ...reading, id: '0197b000-0000-7000-8000-000000000002' };
		await expect(
			insertReadings(test.db, six.id, [twice, { ...twice, read: '1.5 in' }])
		).rejects.toThrow(AlreadyKept);
	});
	it('so are strikes and entries of lists', async () => {
		const strike = {
			id: '0197b000-0000-7000-8000-000000000003',
			reading: reading.id,
			reason: 'slipped',
			person: person.id,
			at: '2026-11-01T08:00:00.000Z'
		};
		for (let i = 0; i < 2; i++) await insertVoids(test.db, six.id, [strike]);
		await expect(insertVoids(test.db, six.id, [{ ...strike, reason: 'another' }])).rejects.toThrow(
			AlreadyKept
		);
		const note = {
			id: '0197b000-0000-7000-8000-000000000004',
			text: 'hand-over at noon',
			person: person.id,
			at: strike.at
		} as Job['notes'][number];
		for (const at of [strike.at, '2026-11-01T09:00:00.000Z'])
			await insertEntries(test.db, six.id, 'notes', [{ ...note, at }]);
		await expect(
			insertEntries(test.db, six.id, 'checks', [note as unknown as Job['checks'][number]])
		).rejects.toThrow(AlreadyKept);
	});
	it('a copied file with an id and a number of its own is refused whole, with the place', async () => {
		const decision = {
			id: uuid(),
			subject: 'note',
			to: 'kept',
			person: person.id,
			at: '2026-11-01T08:00:00.000Z'
		};
		const copies: [string, Partial<Job>][] = [
			['readings', { readings: six.readings }],
			['decisions', { decisions: [decision] }]
		];
		for (const [list, entries] of copies) {
			const copy = another(`copy of ${list}`, entries);
			if (list === 'decisions') {
				expect((await importJob(test.db, another('first', entries))).problems).toEqual([]);
			}
			expect((await importJob(test.db, copy)).problems).toEqual([
				{ path: `${list}[0].id`, text: { code: 'import.entry-elsewhere' } }
			]);
			expect(await loadJob(test.db, copy.id)).toBeUndefined();
		}
	});
});

describe('at once', () => {
	it('twenty jobs with one number: one is in the book, the rest are told why', async () => {
		const outcomes = await Promise.all(
			Array.from({ length: 20 }, () => importJob(test.db, another('4711')))
		);
		expect(outcomes.filter(({ problems }) => problems.length === 0)).toHaveLength(1);
		for (const { problems } of outcomes)
			if (problems[0])
				expect(problems[0].text).toEqual({
					code: 'import.number-taken',
					params: { number: '4711' }
				});
	});
	it('ten with the same initials: one is taken in', async () => {
		const all = await Promise.all(
			Array.from({ length: 10 }, (_, i) => addPerson(test.db, `Ten ${i}`, 'TEN'))
		);
		expect(all.filter(Boolean)).toHaveLength(1);
	});
	it('twenty photos of a station: twelve are kept', async () => {
		const made = { width: 1, height: 1, content: Buffer.of(1), thumbnail: Buffer.of(1) };
		const kept = await Promise.all(
			Array.from({ length: 20 }, () =>
				keepPhoto(test.db, { job: six.id, station: '1I' }, made, person)
			)
		);
		expect(kept.filter((one) => 'id' in one)).toHaveLength(12);
	});
	it('two who change one gauge: the second is told', async () => {
		const gauge = {
			id: uuid(),
			name: 'Height gauge 9',
			type: 'height-gauge',
			lengthUnit: 'in',
			loadUnit: 'lbf',
			dueMonths: 12
		} as Parameters<typeof saveGauge>[1];
		await saveGauge(test.db, gauge, null, person);
		const both = await Promise.all(
			['A', 'B'].map((name) => saveGauge(test.db, { ...gauge, name }, 1, person))
		);
		expect(both.toSorted()).toEqual([false, true]);
	});
	it('set-ups, plans, fits and withdrawals of one job do not stop each other', async () => {
		const { job } = await stored();
		const plan = (): Plan => ({
			id: uuid(),
			proven: true,
			stations: job.stations.map(({ label, shims }) => ({ label, shims })).toReversed(),
			person: person.id,
			at: new Date().toISOString()
		});
		const done = await Promise.allSettled(
			Array.from({ length: 40 }, async (_, i) => {
				const { revision } = await stored();
				const setup = { ...job.setup, customerStatement: `try ${i}` };
				const one = plan();
				await Promise.all([
					saveSetup(test.db, six.id, revision, setup, person),
					acceptPlan(test.db, six.id, one).then(() =>
						withdrawPlan(test.db, six.id, one.id, 'tried', person).catch(only409)
					),
					setStation(test.db, six.id, '3I', 'shims', job.stations[4]!.shims, person)
				]);
			})
		);
		expect(done.filter(({ status }) => status === 'rejected')).toEqual([]);
	});
});

function only409(failure: unknown): void {
	if ((failure as { status?: number }).status !== 409) throw failure;
}

describe('the shelf of shims', () => {
	const shims = [1, 2].map((i) => ({
		type: 'shim' as const,
		part: { id: uuid(), name: `Shim ${i}`, thickness: `0.0${i}1 in` },
		stock: 20,
		retired: false
	}));
	const size = shims[0]!.part.thickness;
	const shelf = async () =>
		(await listParts(test.db, { type: 'shim' })).find(({ part }) => part.id === shims[0]!.part.id)!
			.stock!;
	const moved = async () =>
		(
			await test.db
				.selectFrom('stock_move')
				.selectAll()
				.where('part_id', '=', shims[0]!.part.id)
				.execute()
		).reduce((sum, { change }) => sum + change, 0);
	const job = another('S-1', {
		stations: six.stations.map((station) => ({ ...station, shims: [] }))
	});
	const plain = { ...job, setup: { ...job.setup, shimStock: [{ thickness: size }] } };
	const fit = (label: string, list: string[], of = plain.id) =>
		setStation(test.db, of, label, 'shims', list, person);

	it('gives what a station is fitted with, and takes it back, with job, person and reason', async () => {
		await keepParts(test.db, shims, person);
		await importJob(test.db, plain);
		await fit('1I', [size, size]);
		expect(await shelf()).toBe(18);
		await fit('1I', [size]);
		expect([await shelf(), await moved()]).toEqual([19, 19]);
		expect((await takenBy(test.db, plain.id)).get(shims[0]!.part.id)).toBe(1);
		const [last] = await test.db
			.selectFrom('stock_move')
			.selectAll()
			.where('job_id', '=', plain.id)
			.orderBy('at', 'desc')
			.execute();
		expect(last).toMatchObject({
			change: 1,
			reason: '1I: shims fitted',
			person_id: person.id
		});
		await fit('1I', []);
	});
	it('does not give more than it has: ten from three are refused, and nothing changes', async () => {
		const three = {
			...shims[1]!,
			part: { ...shims[1]!.part, id: uuid(), thickness: '0.033 in' },
			stock: 3
		};
		await keepParts(test.db, [three], person);
		const ten = Array.from({ length: 10 }, () => '0.033 in');
		await expect(fit('1I', ten)).rejects.toMatchObject({
			says: { params: { part: 'Shim 2', required: 10, stock: 3 } }
		});
		expect((await stored(plain.id)).job.stations[0]!.shims).toEqual([]);
	});
	it('is never short, lost or doubled by fifty plans and fits at once against twenty', async () => {
		const labels = plain.stations.map(({ label }) => label);
		const jobs = await Promise.all(
			['S-2', 'S-3', 'S-4', 'S-5'].map(async (number) => {
				const one = { ...another(number), setup: plain.setup, stations: plain.stations };
				await importJob(test.db, one);
				return one.id;
			})
		);
		const plan = (id: string, i: number) =>
			acceptPlan(test.db, id, {
				id: uuid(),
				proven: true,
				stations: [
					{ label: labels[i % 12]!, shims: [size] },
					{ label: labels[(i + 5) % 12]!, shims: i % 3 ? [size, size] : [] }
				],
				person: person.id,
				at: new Date().toISOString()
			});
		const done = await Promise.allSettled(
			Array.from({ length: 50 }, (_, i) =>
				i % 2 ? plan(jobs[i % 4]!, i) : fit(labels[i % 12]!, [size], jobs[i % 4]!)
			)
		);
		const failed = done.flatMap((one) =>
			one.status === 'rejected' ? [one.reason as unknown] : []
		);
		expect(failed.filter((reason) => !(reason instanceof Short))).toEqual([]);
		const built = (await Promise.all(jobs.map((id) => stored(id)))).flatMap(({ job: one }) =>
			one.stations.flatMap((station) => station.shims)
		);
		expect(await shelf()).toBeGreaterThanOrEqual(0);
		expect([await shelf(), await moved()]).toEqual([20 - built.length, 20 - built.length]);
		expect(built.length).toBeGreaterThan(10);
	});
	it('two jobs that take the same lock sets the other way round do not stop each other', async () => {
		const both = [1, 2].map((i) => ({
			type: 'locks' as const,
			part: { ...six.setup.kinds.intake.locks!, id: uuid(), name: `Locks ${i}` },
			stock: 500,
			retired: false
		}));
		await keepParts(test.db, both, person);
		const jobs = await Promise.all(
			['L-1', 'L-2'].map(async (number) => {
				const one = { ...another(number), stations: plain.stations };
				await importJob(test.db, one);
				return one.id;
			})
		);
		const [first, second] = plain.stations.map(({ label }) => label);
		const done = await Promise.allSettled(
			Array.from({ length: 50 }, (_, i) => {
				const [a, b] = i % 2 ? both : both.toReversed();
				const labels = i % 3 ? [first!, second!] : [second!, first!];
				return acceptPlan(test.db, jobs[i % 2]!, {
					id: uuid(),
					proven: true,
					stations: [
						{ label: labels[0]!, shims: [], locks: a!.part },
						{ label: labels[1]!, shims: [], locks: b!.part }
					],
					person: person.id,
					at: new Date().toISOString()
				});
			})
		);
		expect(done.filter(({ status }) => status === 'rejected')).toEqual([]);
	});
	it('what only the job counts is taken from there, and its set-up has a new revision', async () => {
		const own = another('S-9', { stations: plain.stations });
		const counted = {
			...own,
			setup: { ...own.setup, shimStock: [{ thickness: '0.077 in', count: 2 }] }
		};
		await importJob(test.db, counted);
		await fit('1I', ['0.077 in'], own.id);
		const after = await stored(own.id);
		expect(after.job.setup.shimStock).toEqual([{ thickness: '0.077 in', count: 1 }]);
		// A set-up made from the page as it was does not put the shim back.
		expect(await saveSetup(test.db, own.id, 1, counted.setup, person)).toBeNull();
		await expect(fit('2I', ['0.077 in', '0.077 in'], own.id)).rejects.toThrow(Short);
	});
	it('what nobody counts is neither short nor counted', async () => {
		const none = another('S-10', { stations: plain.stations });
		const uncounted = { ...none, setup: { ...none.setup, shimStock: [{ thickness: '0.088 in' }] } };
		await importJob(test.db, uncounted);
		await fit('1I', ['0.088 in', '0.088 in'], none.id);
		expect((await stored(none.id)).job.setup.shimStock).toEqual([{ thickness: '0.088 in' }]);
	});
});

describe('what a job takes by hand', () => {
	it('comes off the shelf, goes back no further than it was taken, and is refused where it is short', async () => {
		const spring = six.setup.kinds.intake.spring!;
		const part = { ...spring, id: uuid(), name: 'Counted spring' };
		await keepParts(test.db, [{ type: 'spring', part, stock: 15, retired: false }], person);
		const take = (count: number) => takeForJob(test.db, six.id, part.id, count, person);
		expect(await take(12)).toEqual({ taken: 12, stock: 3 });
		await expect(take(4)).rejects.toMatchObject({
			says: { params: { part: 'Counted spring', required: 4, stock: 3 } }
		});
		expect(await take(-2)).toEqual({ taken: 10, stock: 5 });
		await expect(take(-11)).rejects.toMatchObject({ status: 409 });
		const both = await Promise.allSettled([take(3), take(3)]);
		expect(both.map(({ status }) => status).toSorted()).toEqual(['fulfilled', 'rejected']);
	});
});

describe('a line of the list', () => {
	it('is worked out anew once the job has changed', async () => {
		const line = async () => (await jobLines(test.db, [six.id]))[0]!;
		const before = await line();
		expect(await line()).toEqual(before);
		const reading = { ...six.readings[0]!, id: uuid(), station: '5E' };
		await insertReadings(test.db, six.id, [reading]);
		expect(await line()).not.toEqual(before);
	});
});

describe('a library of more than five hundred parts', () => {
	it('is whole where all are meant, and paged where they are shown', async () => {
		const many = Array.from({ length: 768 }, (_, i) => ({
			type: 'seal' as const,
			part: { id: uuid(), name: `Seal ${i}` },
			stock: null,
			retired: false
		}));
		const before = (await listParts(test.db)).length;
		await keepParts(test.db, many as Parameters<typeof keepParts>[1], person);
		const all = await listParts(test.db);
		expect(all).toHaveLength(before + 768);
		for (const type of ['shim', 'spring', 'valve'])
			expect(all.some((part) => part.type === type)).toBe(true);
		const first = await pageOfParts(test.db, { type: 'seal' }, 0);
		expect([first.parts.length, first.more]).toEqual([PAGE, true]);
		const last = await pageOfParts(test.db, { type: 'seal' }, 7);
		expect(last.more).toBe(false);
	});
});
