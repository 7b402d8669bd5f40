/** What the shop weighs causes by: its own where it says so, the usual for the rest. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startOf, stepOf, USUAL_LIKELIHOODS } from '@zinc-ledger/core';
import { isWeight, likelihoods } from './likelihoods';
import { addPerson } from '../people';
import { changeLimits, limitChanges, ownLimits } from '../shop';
import { testDatabase, type TestDatabase } from '../test-database';

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('likelihoods');
});
afterAll(() => test.drop());

describe('what causes are weighed by', () => {
	it('is what is usual before anybody said otherwise', async () => {
		expect(await likelihoods(test.db)).toEqual(USUAL_LIKELIHOODS);
	});
	it('is the shop’s own where it said so last, and the usual where that was taken back', async () => {
		const person = (await addPerson(test.db, 'Idun Moss', 'IM'))!;
		const say = (field: string, to: string) =>
			changeLimits(test.db, [{ field, from: null, to }], person);
		await say('diagnosis.start.misfire.float', '3');
		await say('diagnosis.start.misfire.float', '7.5');
		await say('diagnosis.step.leaks-down.float', 'often');
		await say('diagnosis.step.leaks-down.surge', 'often');
		await say('diagnosis.step.leaks-down.surge', '');
		const own = await likelihoods(test.db);
		expect(startOf('misfire', 'float', own)).toBe(7.5);
		expect(startOf('misfire', 'surge', own)).toBe(startOf('misfire', 'surge'));
		expect(stepOf('leaks-down', 'float', own)).toBe('often');
		expect(stepOf('leaks-down', 'surge', own)).toBe(stepOf('leaks-down', 'surge'));
	});
	it('is no limit of the shop’s jobs', async () => {
		expect(await ownLimits(test.db)).toEqual({});
		expect(await limitChanges(test.db)).toEqual([]);
	});
	it('takes nothing that is no weight or no step of anything known', () => {
		const good = [
			['diagnosis.start.misfire.float', '0.5'],
			['diagnosis.start.misfire.float', ''],
			['diagnosis.step.leaks-down.float', 'seldom']
		];
		const wrong = [
			['diagnosis.start.misfire.float', '0'],
			['diagnosis.start.misfire.float', '1e9'],
			['diagnosis.start.misfire.float', 'often'],
			['diagnosis.start.nothing.float', '1'],
			['diagnosis.start.misfire.nobody', '1'],
			['diagnosis.step.leaks-down.float', 'toString'],
			['diagnosis.step.nothing.float', 'often'],
			['limits.bindFloor', '1'],
			['diagnosis.other.misfire.float', '1']
		];
		expect(good.map(([field, text]) => isWeight(field!, text!))).toEqual([true, true, true]);
		expect(wrong.filter(([field, text]) => isWeight(field!, text!))).toEqual([]);
	});
});
