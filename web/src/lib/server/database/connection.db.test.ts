import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { testDatabase, type TestDatabase } from '../test-database';
import { isDatabaseAway, type Database } from './connection';

let test: TestDatabase;
beforeAll(async () => {
	test = await testDatabase('connection', false);
});
afterAll(() => test.drop());

const processId = async (db: Database) =>
	(await sql<{ id: number }>`select pg_backend_pid() as id`.execute(db)).rows[0]!.id;

/** Ends a connection as a database that stops does, and waits until it is gone. */
async function end(id: number): Promise<void> {
	await sql`select pg_terminate_backend(${id}, 10000)`.execute(test.db);
}

describe('a connection that the database ends', () => {
	it('while nobody asks through it, costs nothing', async () => {
		const [first, second] = await Promise.all([processId(test.db), processId(test.db)]);
		expect(first).not.toBe(second);
		const asking = await processId(test.db);
		await end(asking === first ? second : first);
		expect(await processId(test.db)).toBeGreaterThan(0);
	});

	it('in the middle of a transaction, fails that one alone', async () => {
		const lost = test.db.transaction().execute(async (held) => {
			await end(await processId(held));
			await new Promise((later) => setTimeout(later, 100));
			await processId(held);
		});
		await expect(lost).rejects.toSatisfy(isDatabaseAway);
		expect(await processId(test.db)).toBeGreaterThan(0);
	});

	it('under a question that it still works on, fails that one alone', async () => {
		const lost = test.db.connection().execute(async (held) => {
			const id = await processId(held);
			const [answer] = await Promise.allSettled([sql`select pg_sleep(60)`.execute(held), end(id)]);
			if (answer.status === 'rejected') throw answer.reason;
		});
		await expect(lost).rejects.toSatisfy(isDatabaseAway);
		// The pool hears of the lost connection a moment after the question does.
		await vi.waitFor(async () => expect(await processId(test.db)).toBeGreaterThan(0));
	});
});
