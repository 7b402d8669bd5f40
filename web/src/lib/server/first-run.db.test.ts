/** A new shop is shown the way to its first signed sheet, and nobody else is. */
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { METRIC } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { firstRun } from './first-run';
import { importJob } from './jobs/store';
import { signJob } from './signing/signed';
import { testDatabase, type TestDatabase } from './test-database';

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('first_run');
});
afterAll(() => test.drop());

describe('the way to the first signed sheet', () => {
	it('has every step open in an empty shop, and each done by doing it', async () => {
		expect(await firstRun(test.db)).toEqual({
			person: false,
			gauge: false,
			job: false,
			heights: false
		});
		const read = readJob(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'));
		if (!read.ok) throw new Error('demo');
		expect((await importJob(test.db, read.value)).problems).toEqual([]);
		expect(await firstRun(test.db)).toEqual({
			person: true,
			gauge: false,
			job: true,
			heights: true
		});
		await signJob(test.db, read.value.id, read.value.people[0]!, METRIC);
		expect(await firstRun(test.db)).toBeNull();
	});
});
