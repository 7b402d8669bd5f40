/** What browsers offer again after a restore: it goes where it belongs, or is kept apart until that is there. */
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readJob } from '@zinc-ledger/core/file';
import type { Job, Reading } from '@zinc-ledger/core';
import { findReadings, loadJob } from './load';
import { importJob } from './store';
import { storeOffered } from './readings';
import { claimStrays, countStrays, listStrays } from './strays';
import { testDatabase, type TestDatabase } from '../test-database';

const jobIn = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const here = jobIn('2417-straight-six');
const gone = jobIn('2409-twin-cam');
const of = (job: Job, more: Partial<Reading> = {}): Reading => ({
	...job.readings[0]!,
	id: randomUUID(),
	...more
});

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('strays');
	expect((await importJob(test.db, here)).problems).toEqual([]);
});
afterAll(() => test.drop());

describe('readings that are offered again', () => {
	it('go where they belong, once however often they come', async () => {
		const lost = of(here);
		await storeOffered(test.db, here.id, [lost]);
		await storeOffered(test.db, here.id, [lost]);
		expect(await findReadings(test.db, [lost.id])).toHaveLength(1);
		expect(await countStrays(test.db)).toBe(0);
	});
	it('are kept apart where station, operator or job is not in the backup, and shown', async () => {
		const [kept, station, person, job] = [
			of(here),
			of(here, { station: '9I' }),
			of(here, { person: randomUUID() }),
			of(gone)
		];
		await storeOffered(test.db, here.id, [kept, station, person]);
		await storeOffered(test.db, gone.id, [job]);
		await storeOffered(test.db, gone.id, [job]);
		expect(await findReadings(test.db, [kept.id])).toHaveLength(1);
		const strays = await listStrays(test.db);
		expect(strays.flatMap(({ entries }) => entries.map(({ id }) => id)).toSorted()).toEqual(
			[station.id, person.id, job.id].toSorted()
		);
		const ofGone = strays.find(({ owner }) => owner === gone.id)!;
		expect(ofGone.name).toBeNull();
		expect(strays.find(({ owner }) => owner === here.id)!.name).toBe(here.number);
		expect(ofGone.entries[0]).toMatchObject({ entry: { read: job.read } });
	});
	it('go into their job once its file comes in', async () => {
		const before = await countStrays(test.db);
		const { problems } = await importJob(test.db, gone, (trx) => claimStrays(trx, gone));
		expect(problems).toEqual([]);
		expect(await countStrays(test.db)).toBe(before - 1);
		expect((await loadJob(test.db, gone.id))!.job.readings).toHaveLength(gone.readings.length + 1);
	});
});
