import { readFileSync } from 'node:fs';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { changedSince, entryCount, HISTORY, METRIC, type Job } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { verifySheet } from '@zinc-ledger/core/signed';
import { sheetCrypto } from '@zinc-ledger/core/signed-node';
import { loadJob } from '../jobs/load';
import { importJob, insertEntries, insertReadings } from '../jobs/store';
import { readSigned } from '@zinc-ledger/core/signed';
import { listSigned, newestSigned, signedText, signJob } from './signed';
import { shopKeys } from './shop-key';
import { migrate } from '../database/migrate';
import { testDatabase, type TestDatabase } from '../test-database';

const load = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const twin = load('2409-twin-cam');
const six = load('2417-straight-six');
const person = twin.people[0]!;

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('signed');
	for (const job of [twin, six]) expect((await importJob(test.db, job)).problems).toEqual([]);
});
afterAll(() => test.drop());

describe('signing', () => {
	it('freezes the job with its sheet, byte for byte', async () => {
		const { id, sha256: digest } = await signJob(test.db, twin.id, person, METRIC);
		const text = await signedText(test.db, twin.id, id);
		const verified = verifySheet(text, sheetCrypto, await shopKeys(test.db));
		expect(verified.ok && [verified.same, verified.signed.sha256]).toEqual([true, digest]);
		expect(verified.ok && verified.signer).toBe('this-shop');
		expect(readSigned(text).job).toEqual((await loadJob(test.db, twin.id))!.job);
	});
	it('makes a new sheet that names the old, two at once one after the other', async () => {
		const both = await Promise.all([1, 2].map(() => signJob(test.db, twin.id, person, METRIC)));
		expect(both.map(({ revision }) => revision).toSorted()).toEqual([2, 3]);
		const list = await listSigned(test.db, twin.id);
		expect(list.map(({ revision }) => revision)).toEqual([3, 2, 1]);
		expect((await newestSigned(test.db, [twin.id, six.id])).get(twin.id)!.revision).toBe(3);
		expect((await newestSigned(test.db, [])).size).toBe(0);
		const newest = readSigned(await signedText(test.db, twin.id, list[0]!.id));
		expect(newest.signing.supersedes).toEqual({ id: list[1]!.id, sha256: list[1]!.sha256 });
	});
	it('is refused while something blocks, and nothing is kept', async () => {
		await expect(signJob(test.db, six.id, person, METRIC)).rejects.toMatchObject({ status: 409 });
		expect(await listSigned(test.db, six.id)).toEqual([]);
	});
	it('says its scope, and refuses one that lacks something, is empty or names a stranger', async () => {
		const [newest] = await listSigned(test.db, twin.id);
		const { signing } = readSigned(await signedText(test.db, twin.id, newest!.id));
		expect(signing.scope).toEqual({
			name: 'measured',
			stations: twin.stations.map(({ label }) => label),
			leftOut: []
		});
		const refusal = (job: Job, stations: string[], name: 'measured' | 'built' = 'measured') =>
			signJob(test.db, job.id, person, METRIC, { name, stations });
		await expect(refusal(twin, ['1Ia'], 'built')).rejects.toMatchObject({
			status: 409,
			body: { message: expect.stringContaining('assembly') }
		});
		await expect(refusal(twin, ['9I'])).rejects.toMatchObject({ status: 400 });
		const empty = { ...structuredClone(six), id: twin.id.replace(/^./, 'f'), number: '9001' };
		for (const list of HISTORY) (empty[list] as unknown[]) = [];
		expect((await importJob(test.db, empty)).problems.map(({ text }) => text.code)).toEqual([]);
		await expect(refusal(empty, ['1I'])).rejects.toMatchObject({
			body: { message: expect.stringContaining('Nothing to sign') }
		});
	});
	it('leaves what was signed as it is: the database refuses a change', async () => {
		const change = test.db.updateTable('signed_sheet').set({ content: '{}' }).execute();
		await expect(change).rejects.toThrow();
		await expect(test.db.deleteFrom('signed_sheet').execute()).rejects.toThrow();
		await expect(signedText(test.db, six.id, twin.id)).rejects.toMatchObject({ status: 404 });
	});
	it('knows of a change that came later, though the clock of its bench was behind', async () => {
		await signJob(test.db, twin.id, person, METRIC);
		const isChanged = async () =>
			changedSince(
				(await loadJob(test.db, twin.id))!.job,
				(await newestSigned(test.db, [twin.id])).get(twin.id)!
			);
		expect(await isChanged()).toBe(false);
		await insertReadings(test.db, twin.id, [
			{
				...twin.readings[0]!,
				id: '0197a777-0000-7000-8000-000000000009',
				at: '2026-01-01T08:00:00.000Z'
			}
		]);
		expect(await isChanged()).toBe(true);
	});
	it('counts the entries of sheets that were signed before they were counted', async () => {
		const old = await testDatabase('signed_before', false);
		try {
			await migrate(old.db, '0005-assembly');
			// As that release wrote it: the program of today knows more columns.
			const { id, number, customer, engine, setup } = twin;
			for (const row of [
				sql`insert into person (id, name, initials) values (${person.id}, 'Idun Moss', 'IM')`,
				sql`insert into customer (id, name) values (${customer.id}, ${customer.name})`,
				sql`insert into engine (id, customer_id, name, layout)
					values (${engine.id}, ${customer.id}, ${engine.name}, ${JSON.stringify(engine.layout)})`,
				sql`insert into job (id, number, customer_id, engine_id, taken_in, setup, search)
					values (${id}, ${number}, ${customer.id}, ${engine.id}, now(), ${JSON.stringify(setup)}, '')`,
				sql`insert into signed_sheet (id, job_id, revision, content, sha256, person_id, at)
					values (${id}, ${id}, 1, ${JSON.stringify({ job: twin })}, '', ${person.id}, now())`
			])
				await row.execute(old.db);
			await migrate(old.db);
			expect((await newestSigned(old.db, [twin.id])).get(twin.id)).toEqual({
				revision: 1,
				entries: entryCount(twin)
			});
			await expect(old.db.deleteFrom('signed_sheet').execute()).rejects.toThrow();
		} finally {
			await old.drop();
		}
	});
});

describe('what comes with a build', () => {
	it('assembly, checks and notes come back in their lists, and a lash with how it was taken', async () => {
		const stamp = { person: person.id, at: '2026-03-20T09:00:00.000Z' };
		const id = (n: number) => `0197a777-0000-7000-8000-00000000000${n}`;
		const step = { id: id(1), place: 'job', step: 'count-out', done: true, count: 24, ...stamp };
		const check = {
			id: id(2),
			type: 'passage' as const,
			station: '1I',
			passage: 'pushrod' as const,
			passes: true,
			...stamp
		};
		const note = { id: id(3), text: 'Filed tip', private: true, blocksSignOff: false, ...stamp };
		await insertEntries(test.db, six.id, 'assembly', [step]);
		await insertEntries(test.db, six.id, 'checks', [check]);
		await insertEntries(test.db, six.id, 'notes', [note]);
		const lash = {
			...six.readings[0]!,
			id: id(4),
			quantity: 'lash' as const,
			read: '0.014 in',
			lash: { as: 'set' as const, marked: true },
			...stamp
		};
		await insertReadings(test.db, six.id, [lash]);
		const { job } = (await loadJob(test.db, six.id))!;
		expect(job.readings.find((reading) => reading.id === lash.id)).toEqual(lash);
		expect([job.assembly, job.checks, job.notes]).toEqual([[step], [check], [note]]);
	});
});
