/**
 * How often something may be tried: sign-ins by name, by person and by address, in the
 * database, so that every process counts the same; in memory while that is away.
 */
import pg from 'pg';
import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { log } from '../log';

const QUARTER = 15 * 60;

interface Limit {
	readonly points: number;
	/** In seconds: points are given back after so long. */
	readonly duration: number;
}

/** Wrong ones in a quarter of an hour. */
const TRIED = {
	/** Of one name from one address. */
	name: { points: 10, duration: QUARTER },
	/** Of one name from anywhere: beyond it answers come slowly, and nobody is locked out. */
	slow: { points: 20, duration: QUARTER },
	/** Of whoever is signed in, about their own sign-in. */
	own: { points: 10, duration: QUARTER },
	pin: { points: 5, duration: QUARTER },
	address: { points: 60, duration: QUARTER },
	code: { points: 20, duration: QUARTER }
} satisfies Record<string, Limit>;
export type Tried = keyof typeof TRIED;

let pool: pg.Pool | undefined;
const limiters = new Map<Tried, RateLimiterPostgres>();

function limiterOf(what: Tried): RateLimiterPostgres {
	if (!pool) {
		pool = new pg.Pool({ connectionString: process.env.DATABASE_URL, max: 2 });
		pool.on('error', (error) => log.warn({ error: error.message }, 'idle connection lost'));
	}
	const known = limiters.get(what);
	if (known) return known;
	const limit = { keyPrefix: what, ...TRIED[what] };
	const limiter = new RateLimiterPostgres({
		...limit,
		storeClient: pool,
		tableName: 'attempt',
		tableCreated: true,
		clearExpiredByTimeout: true,
		insuranceLimiter: new RateLimiterMemory(limit)
	});
	limiters.set(what, limiter);
	return limiter;
}

/** Counts an attempt before it is looked at; the minutes to wait where there were too many. */
export async function attempt(what: Tried, whose: string): Promise<number | null> {
	return minutesLeft(() => limiterOf(what).consume(whose.slice(0, 200)));
}

/** Gives the attempts back: the last was right. */
export const forgive = async (what: Tried, whose: string): Promise<void> =>
	void (await limiterOf(what).delete(whose.slice(0, 200)));

async function minutesLeft(consume: () => Promise<unknown>): Promise<number | null> {
	try {
		await consume();
		return null;
	} catch (refused) {
		if (!(refused instanceof RateLimiterRes)) throw refused;
		return Math.max(1, Math.ceil(refused.msBeforeNext / 60_000));
	}
}

/** Requests a minute: far more than a person at work makes, far fewer than a program that guesses. */
const asked = {
	session: new RateLimiterMemory({ points: 1800, duration: 60 }),
	address: new RateLimiterMemory({ points: 600, duration: 60 }),
	/** Paper through one customer's link, which takes time to lay out. */
	link: new RateLimiterMemory({ points: 10, duration: 60 })
};

/** Whether a browser, an address where nobody is signed in, or a customer's link asks too often. */
export const asksTooOften = async (of: keyof typeof asked, whose: string): Promise<boolean> =>
	(await minutesLeft(() => asked[of].consume(whose))) !== null;

export async function closeLimits(): Promise<void> {
	await pool?.end();
	pool = undefined;
	limiters.clear();
}
