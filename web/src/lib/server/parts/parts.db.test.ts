import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { LibraryPart, Person } from '@zinc-ledger/core';
import { readParts } from '@zinc-ledger/core/parts';
import {
	findCustomer,
	findEngine,
	jobsOfEngine,
	listCustomers,
	listEngines
} from '../jobs/customers';
import { readJob } from '@zinc-ledger/core/file';
import { importJob } from '../jobs/store';
import { findPart, importParts, keepParts, listParts, retirePart, savePart } from './parts';
import { addPerson, findPerson, listPeople, setUnits } from '../people';
import { inTransaction } from '../database/transaction';
import { countInOrOut, Short } from './stock';
import { findAnything } from '../find';
import { addSet, setMeasured } from '../springs/springs';
import { testDatabase, type TestDatabase } from '../test-database';

const read = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const library = read.value;
const locks = library.filter(({ type }) => type === 'locks');
const [first] = locks as [LibraryPart<'locks'>];

let test: TestDatabase;
let person: Person;
beforeAll(async () => {
	test = await testDatabase('parts');
	person = (await addPerson(test.db, 'Runa Tarn', 'RT'))!;
	await keepParts(test.db, library);
});
afterAll(() => test.drop());

const names = async (about: Parameters<typeof listParts>[1]) =>
	(await listParts(test.db, about)).map(({ part }) => part.name);

describe('the library', () => {
	it('gives back every part as it was kept', async () => {
		const byId = (a: LibraryPart, b: LibraryPart) => (a.part.id < b.part.id ? -1 : 1);
		const kept = await listParts(test.db);
		expect(kept.toSorted(byId)).toEqual(library.toSorted(byId));
	});
	it('is asked by type, and by words in any field', async () => {
		expect(await names({ type: 'locks' })).toHaveLength(locks.length);
		expect(await names({ type: 'spring', find: 'yellow beehive' })).toEqual([
			'Fennick N-33 beehive, soft',
			'Fennick N-40 beehive'
		]);
		expect(await names({ find: 'keepers' })).toEqual(await names({ type: 'locks' }));
		expect(await names({ find: 'nothing like it' })).toEqual([]);
		expect(await names({ find: '%' })).toEqual([]);
	});
	it('leaves a part that a job brings again as it is', async () => {
		const changed = { ...first, part: { ...first.part, name: 'Another name' } };
		await keepParts(test.db, [changed]);
		expect((await findPart(test.db, first.part.id))!.part.name).toBe(first.part.name);
	});
	it('changes a part that is saved, but not its stock', async () => {
		const changed = { ...first, stock: 999, part: { ...first.part, note: 'marked' } };
		expect(await savePart(test.db, changed, 1, person)).toBe(true);
		expect(await findPart(test.db, first.part.id)).toEqual({
			...changed,
			stock: first.stock,
			revision: 2
		});
		// The second of two who change it at once is told, and changes nothing.
		expect(await savePart(test.db, first, 1, person)).toBe(false);
		expect(await savePart(test.db, first, 2, person)).toBe(true);
	});
	it('puts retired parts last, and brings them back', async () => {
		await retirePart(test.db, first.part.id, true, person);
		expect((await names({ type: 'locks' })).at(-1)).toBe(first.part.name);
		await retirePart(test.db, first.part.id, false, person);
		expect((await findPart(test.db, first.part.id))!.retired).toBe(false);
	});
	it('takes a file in whole, stock and all', async () => {
		await importParts(test.db, [{ ...first, stock: 3 }], person);
		expect((await findPart(test.db, first.part.id))!.stock).toBe(3);
		await importParts(test.db, [first], person);
	});
});

const counted = (id: string, change: number, why: string) =>
	inTransaction(test.db, (trx) => countInOrOut(trx, id, change, why, person));

describe('the shelf', () => {
	it('never holds less than nothing, however many take at once', async () => {
		await importParts(test.db, [{ ...first, stock: 5 }], person);
		const taken = await Promise.all(
			Array.from({ length: 8 }, () => counted(first.part.id, -1, 'job').catch(() => null))
		);
		expect(taken.filter((left) => left === null)).toHaveLength(3);
		expect((await findPart(test.db, first.part.id))!.stock).toBe(0);
	});
	it('keeps who moved what, and why', async () => {
		expect(await counted(first.part.id, 24, 'delivery')).toBe(24);
		const moves = await test.db.selectFrom('stock_move').selectAll().orderBy('at').execute();
		expect(moves.at(-1)).toMatchObject({ change: 24, reason: 'delivery', person_id: person.id });
		const sum = moves
			.filter(({ part_id }) => part_id === first.part.id)
			.reduce((all, { change }) => all + change, 0);
		expect(sum).toBe((await findPart(test.db, first.part.id))!.stock);
	});
	it('begins at nothing for a part that was never counted', async () => {
		const cam = library.find(({ type }) => type === 'cam')!;
		expect(await counted(cam.part.id, 2, 'counted')).toBe(2);
		await expect(counted(cam.part.id, -3, 'sold')).rejects.toThrow(Short);
	});
});

describe('people, customers and engines', () => {
	const job = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!job.ok) throw new Error('demo');
	beforeAll(async () => {
		await importJob(test.db, job.value);
	});
	it('nobody has the initials of somebody else', async () => {
		expect(await addPerson(test.db, 'Rolf Tamm', 'RT')).toBeNull();
		expect((await listPeople(test.db)).filter(({ initials }) => initials === 'RT')).not.toEqual([]);
	});
	it('each reads their own units', async () => {
		expect((await findPerson(test.db, person.id))!.units).toBeNull();
		await setUnits(test.db, person.id, { length: 'mm', load: 'kgf' });
		expect((await findPerson(test.db, person.id))!.units).toEqual({ length: 'mm', load: 'kgf' });
		await setUnits(test.db, person.id, null);
		expect((await findPerson(test.db, person.id))!.units).toBeNull();
		expect(await findPerson(test.db, first.part.id)).toBeNull();
	});
	it('a customer is found by name, and by contact where one is given', async () => {
		const { customer } = job.value;
		expect(await findCustomer(test.db, customer.name, '')).toEqual(customer);
		expect(await findCustomer(test.db, customer.name, customer.contact!)).toEqual(customer);
		expect(await findCustomer(test.db, customer.name, 'somebody else')).toBeUndefined();
		expect(await listCustomers(test.db)).toContain(customer.name);
	});
	it('an engine that comes back is the same one, when it is of one name and layout', async () => {
		const { customer, engine } = job.value;
		const found = (layout: typeof engine.layout) =>
			findEngine(test.db, customer.id, engine.name, layout);
		expect((await found(engine.layout))!.id).toBe(engine.id);
		expect(await found({ ...engine.layout, pairing: 'alternating' })).toBeUndefined();
		expect(await jobsOfEngine(test.db, engine.id)).toEqual([job.value.id]);
		expect((await listEngines(test.db)).map(({ name }) => name)).toContain(engine.name);
	});
});

describe('anything of the shop', () => {
	it('is found by what somebody types: part, set, tag and serial number', async () => {
		const about = { cardId: null, jobId: null, seat: '46 mm', lift: '12 mm' };
		const set = await addSet(test.db, { name: 'Trial of ten', ...about }, 3, person);
		await setMeasured(test.db, set, 'T2', { serial: 'S-2041' });
		const found = async (text: string) =>
			(await findAnything(test.db, text)).map(({ type, name }) => `${type} ${name}`);
		expect(await found('trial of')).toContain('set Trial of ten');
		expect(await found('t2')).toContain('spring T2');
		expect(await found('s-2041')).toEqual(['spring T2']);
		expect((await found('keepers')).every((one) => one.startsWith('part '))).toBe(true);
		expect(await found('keepers')).not.toEqual([]);
		expect(await found('trail of ten')).toContain('set Trial of ten');
		expect(await found('pelow stem sael')).toEqual(
			expect.arrayContaining([expect.stringMatching(/^part Pellow stem seal/)])
		);
		expect(await found('  ')).toEqual([]);
		expect(await found('100%_')).toEqual([]);
	});
	it('is a customer, an engine or a station of another job, mistakes forgiven', async () => {
		const job = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
		if (!job.ok) throw new Error('demo');
		await importJob(test.db, job.value).catch(() => undefined);
		const found = async (text: string) =>
			(await findAnything(test.db, text)).map(({ type, name }) => `${type} ${name}`);
		expect(await found('tide harow')).toContain('customer Tilde Harrow');
		expect(await found('haldrik straigth six')).toContain('engine Haldric 3.4 straight six');
		expect((await findAnything(test.db, '2417 3e'))[0]).toMatchObject({
			type: 'station',
			name: '3E',
			href: `/jobs/${job.value.id}?at=3E`
		});
		expect(await found('2417 9e')).not.toContain('station 9E');
		await test.db
			.insertInto('customer')
			.values({ id: crypto.randomUUID(), name: 'Tilde Harrow', contact: 'another shop' })
			.execute();
		const harrows = (await found('tilde')).filter((one) => one === 'customer Tilde Harrow');
		expect(harrows).toHaveLength(1);
	});
});
