/**
 * Word of changes on jobs, from whichever process made them: the database tells
 * every process (LISTEN/NOTIFY), and each tells the browsers that listen to it.
 * One connection a process, made when the first browser listens.
 */
import pg from 'pg';
import type { Reading } from '@zinc-ledger/core';
import { database } from './database';
import { findReadings } from './jobs/load';
import { log } from './log';

/** What a browser is told: readings to lay on, or that something else changed and it is to ask again. */
export interface LiveNews {
	readonly readings: readonly Reading[];
	readonly changed: boolean;
}
type Listener = (news: LiveNews) => void;

/** Changes within this many milliseconds go out together. */
const TOGETHER = 60;
const LONGEST_PAUSE = 5000;

const listeners = new Map<string, Set<Listener>>();
let waiting = new Map<string, { readings: string[]; changed: boolean }>();
let timer: ReturnType<typeof setTimeout> | undefined;
let client: pg.Client | null = null;
let pause = 200;

/** Listens to a job until the returned function is called. */
export function listenToJob(jobId: string, listener: Listener): () => void {
	const known = listeners.get(jobId) ?? new Set();
	known.add(listener);
	listeners.set(jobId, known);
	if (!client) void connect();
	return () => {
		known.delete(listener);
		if (known.size === 0 && listeners.get(jobId) === known) listeners.delete(jobId);
	};
}

export async function closeLive(): Promise<void> {
	listeners.clear();
	await client?.end().catch(() => undefined);
}

async function connect(): Promise<void> {
	const own = new pg.Client({
		connectionString: process.env.DATABASE_URL,
		connectionTimeoutMillis: 10_000
	});
	client = own;
	own.on('notification', ({ payload }) => hear(payload ?? ''));
	// A connection lost says so twice; the first is enough to begin anew.
	own.on('error', () => again(own));
	own.on('end', () => again(own));
	try {
		await own.connect();
		await own.query('listen job_change');
		pause = 200;
		// What went by while nobody listened is asked for anew.
		for (const jobId of listeners.keys()) remember(jobId).changed = true;
	} catch {
		again(own);
	}
}

function again(lost: pg.Client): void {
	if (client !== lost) return;
	client = null;
	void lost.end().catch(() => undefined);
	if (listeners.size === 0) return;
	setTimeout(() => {
		if (!client && listeners.size > 0) void connect();
	}, pause).unref();
	pause = Math.min(pause * 2, LONGEST_PAUSE);
}

function hear(payload: string): void {
	const { job, reading } = JSON.parse(payload) as { job: string; reading: string | null };
	if (!listeners.has(job)) return;
	const news = remember(job);
	if (reading) news.readings.push(reading);
	else news.changed = true;
}

function remember(jobId: string) {
	const news = waiting.get(jobId) ?? { readings: [], changed: false };
	waiting.set(jobId, news);
	timer ??= setTimeout(() => void tell(), TOGETHER);
	return news;
}

async function tell(): Promise<void> {
	timer = undefined;
	const now = waiting;
	waiting = new Map();
	for (const [jobId, { readings, changed }] of now) {
		const ofJob = listeners.get(jobId);
		if (!ofJob) continue;
		try {
			const found = readings.length > 0 ? await findReadings(await database(), readings) : [];
			for (const listener of ofJob) listener({ readings: found, changed });
		} catch (error) {
			log.warn({ error: (error as Error).message }, 'live news not read');
			for (const listener of ofJob) listener({ readings: [], changed: true });
		}
	}
}
