/** Kits and templates kept by revision, kits taken in with their parts, what the shop decides. */
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readJob } from '@zinc-ledger/core/file';
import { readKits } from '@zinc-ledger/core/kits';
import { loadDemo } from '../demo';
import { findAnything } from '../find';
import { findKept, listKept, retireKept, saveKept } from '../kept';
import { importKits, kitsOffered, kitWithParts } from './kits';
import { findPart, savePart } from './parts';
import { keepPhoto, makeSmall, photosOfKit } from '../jobs/photos';
import { changeLimits, limitChanges, ownLimits, shopSetup } from '../shop';
import { testDatabase, type TestDatabase } from '../test-database';

const job = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!job.ok) throw new Error(JSON.stringify(job.problems));
const person = job.value.people[0]!;
const file = readKits(readFileSync('demo/kits.json', 'utf8'));
if (!file.ok) throw new Error(JSON.stringify(file.problems));

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('kits');
	await loadDemo(test.db, 'demo');
});
afterAll(() => test.drop());

describe('the demo', () => {
	it('has ten kits with their parts, and three engines', async () => {
		const { kits, parts } = await kitsOffered(test.db);
		expect(kits).toHaveLength(10);
		for (const kit of kits) expect(parts.get(kit.kinds.exhaust.spring!)?.type).toBe('spring');
		expect(await listKept(test.db, 'template')).toHaveLength(3);
	});
	it('has kits that are found by any of their words, as others are', async () => {
		expect((await listKept(test.db, 'kit', 'marine FIRM')).map(({ doc }) => doc.name)).toEqual([
			'Marine V8, firm'
		]);
		expect(await findAnything(test.db, 'quil 58')).toContainEqual(
			expect.objectContaining({ type: 'kit', name: 'Quill 58' })
		);
	});
});

describe('a kit', () => {
	it('is changed by revision: who is second is told', async () => {
		const { doc: kit, revision } = (await listKept(test.db, 'kit', 'quill'))[0]!;
		expect(await saveKept(test.db, 'kit', { ...kit, maker: 'Quill' }, revision, person)).toBe(true);
		expect(await saveKept(test.db, 'kit', { ...kit, maker: 'Other' }, revision, person)).toBe(
			false
		);
		expect((await findKept(test.db, 'kit', kit.id))!.doc.maker).toBe('Quill');
	});
	it('is retired, stays what it is, and is offered no more', async () => {
		const [first] = await listKept(test.db, 'kit');
		const { id } = first!.doc;
		await retireKept(test.db, 'kit', id, true, person);
		expect((await kitsOffered(test.db)).kits.map((kit) => kit.id)).not.toContain(id);
		expect((await findKept(test.db, 'kit', id))!.doc).toEqual(first!.doc);
		await retireKept(test.db, 'kit', id, false, person);
	});
	it('taken in again is as in its file, and leaves a part of the shop as it is', async () => {
		const kit = file.value.kits.find(({ name }) => name === 'Quill 58')!;
		const id = kit.kinds.intake.seal!;
		const seal = (await findPart(test.db, id))!;
		await savePart(
			test.db,
			{ ...seal, part: { ...seal.part, note: 'measured' } } as never,
			seal.revision,
			person
		);
		await importKits(test.db, file.value, person);
		const { kit: now, parts } = (await kitWithParts(test.db, kit.id))!;
		expect(now).toEqual(kit);
		expect(parts.get(id)?.part.note).toBe('measured');
	});
	it('has photos of its paper, and none of a job', async () => {
		const { id } = file.value.kits[0]!;
		const png = Buffer.from(
			'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
			'base64'
		);
		const made = await makeSmall(png);
		if ('problem' in made) throw new Error(made.problem.code);
		expect(await keepPhoto(test.db, { kit: id }, made, person)).toMatchObject({ station: null });
		expect(await photosOfKit(test.db, id)).toHaveLength(1);
	});
});

describe('what the shop decides', () => {
	it('is noted with who, and the newest of a field counts', async () => {
		const field = 'limits.bindFloor';
		await changeLimits(test.db, [{ field, from: null, to: '0.055 in' }], person);
		expect((await shopSetup(test.db, 'in')).limits.bindFloor).toBe('0.055 in');
		await changeLimits(test.db, [{ field, from: '0.055 in', to: '' }], person);
		expect(await ownLimits(test.db)).toEqual({});
		expect((await shopSetup(test.db, 'in')).limits.bindFloor).toBe('0.050 in');
		expect((await limitChanges(test.db)).map(({ to, person: by }) => [to, by])).toEqual([
			['', person.name],
			['0.055 in', person.name]
		]);
	});
});
