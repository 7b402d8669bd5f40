/**
 * Threads for what would keep everybody else's page waiting. The queue is short and every task
 * has a deadline: what is too much is refused, and told so.
 */
import { Piscina } from 'piscina';
import { error } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { log } from '../log';
import { refuse } from '../http/refuse';
import type * as Tasks from './tasks';

type Name = keyof typeof Tasks;
type Asked<N extends Name> = Parameters<(typeof Tasks)[N]>[0];
type Done<N extends Name> = Awaited<ReturnType<(typeof Tasks)[N]>>;

/** The tasks as a script of its own, which the build writes; without it they run where they are asked for. */
const script = process.env.ZINC_TASKS;
const THREADS = 1;
/** Tasks that wait for a thread, at most. */
const QUEUE = 24;
/** What takes longer is ended, with its thread, in ms. */
const DEADLINE = 30_000;
/** A thread without work for so long is let go of, in ms: what it holds in memory too. */
const IDLE = 20_000;
const HEAP_MB = 192;

let pool: Piscina | undefined;
const poolOf = (filename: string) =>
	(pool ??= new Piscina({
		filename,
		minThreads: 0,
		maxThreads: THREADS,
		maxQueue: QUEUE,
		idleTimeout: IDLE,
		resourceLimits: { maxOldGenerationSizeMb: HEAP_MB }
	}));

/** A refusal as it comes out of a thread, where it is no more of its class. */
const isRefusal = (failure: unknown): failure is { status: number; body: App.Error } =>
	typeof failure === 'object' && failure !== null && 'status' in failure && 'body' in failure;

/**
 * Does a task of tasks.ts in a thread of its own. What was sent is handed over to it and not copied.
 *
 * @throws 503 where too many wait already, or it took too long; 413 where it is too large for a thread
 */
export async function work<N extends Name>(name: N, asked: Asked<N>): Promise<Done<N>> {
	if (!script) {
		const tasks = await import('./tasks');
		return (tasks[name] as (asked: Asked<N>) => Done<N>)(asked);
	}
	const threads = poolOf(script);
	if (threads.queueSize >= QUEUE) refuse(503, message('server.busy'));
	const signal = AbortSignal.timeout(DEADLINE);
	try {
		const transferList = 'sent' in asked && asked.sent ? [asked.sent.bytes] : [];
		return (await threads.run(asked, { name, signal, transferList })) as Done<N>;
	} catch (failure) {
		if (isRefusal(failure)) error(failure.status, failure.body);
		if ((failure as NodeJS.ErrnoException).code === 'ERR_WORKER_OUT_OF_MEMORY')
			refuse(413, message('server.too-large'));
		if (!signal.aborted) throw failure;
		log.warn({ task: name }, 'took too long');
		refuse(503, message('server.busy'));
	}
}

export async function closeWork(): Promise<void> {
	await pool?.destroy();
	pool = undefined;
}
