import { Kysely, PostgresDialect } from 'kysely';
import pg from 'pg';
import { log } from '../log';
import type { Tables } from './schema';

export type Database = Kysely<Tables>;

/**
 * A pool of connections to one database. One that is away refuses at once, and
 * pages say so; the times are for one that hangs, longer than a busy machine stalls.
 */
export function connect(url: string, longestQuery = 30_000): Database {
	const pool = new pg.Pool({
		connectionString: url,
		max: 10,
		// How alike a word must be to one looked for: two slips in a name are still found.
		options: '-c pg_trgm.similarity_threshold=0.25 -c pg_trgm.word_similarity_threshold=0.45',
		connectionTimeoutMillis: 10_000,
		query_timeout: longestQuery
	});
	pool.on('error', (error) => log.warn({ error: error.message }, 'idle connection lost'));
	// The pool hears what befalls idle connections only. One lost under a question fails
	// that question; unheard, it would also end the process.
	pool.on('connect', (client) => {
		client.on('error', (error) => log.debug({ error: error.message }, 'connection lost'));
	});
	return new Kysely<Tables>({ dialect: new PostgresDialect({ pool }) });
}

const CONNECTION_LOST = new Set([
	'ECONNREFUSED',
	'ECONNRESET',
	'EPIPE',
	'ETIMEDOUT',
	'57P01', // admin shutdown
	'57P02', // crash shutdown
	'57P03', // cannot connect now
	'08006',
	'08003',
	'08001'
]);

/** Whether an error means that the database is away, and not that a query was wrong. */
export function isDatabaseAway(error: unknown): boolean {
	if (!(error instanceof Error)) return false;
	const code = (error as { code?: string }).code;
	if (code && CONNECTION_LOST.has(code)) return true;
	if (error instanceof AggregateError) return error.errors.some(isDatabaseAway);
	return /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error|Query read timeout/i.test(
		error.message
	);
}
