import type { Reading } from '@zinc-ledger/core';
import { isForLater, sends, type Sender } from './later';
import { epochNow } from './epoch';
import { sentStore, store, type Waiting } from './store';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

const FIRST_PAUSE = 500;
const LONGEST_PAUSE = 8000;
/** Readings of a job that go out together, when several wait. */
const AT_ONCE = 25;

type Sent = (jobId: string, stored: readonly Reading[]) => void;

/**
 * Readings that are typed and not yet known to be stored. Each is put on the
 * browser's disk first and sent after; the server takes the same id twice
 * without harm, so that each is stored exactly once however often it is sent.
 */
class Outbox {
	waiting = $state.raw<readonly Waiting[]>([]);
	/** False once a sending has failed, until one succeeds. */
	reachable = $state(true);
	/** Why the last sending failed, where the server itself said so. */
	trouble = $state<string | null>(null);

	/** Whether the server asks who that is before it takes any. */
	asksWho = $state(false);

	/** Whose readings go out: one is sent under no other name than its own. */
	sender = $state.raw<Sender>({ anybody: true });

	#sending = false;
	#pause = FIRST_PAUSE;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#onSent: Sent = () => undefined;

	/** Says who is at this browser now; what waited for them goes out. */
	sendAs(sender: Sender): void {
		this.sender = sender;
		void this.flush();
	}

	/** Whether a reading waits for somebody else than who is here. */
	isOthers = ({ reading }: Waiting): boolean => !sends(this.sender, reading.person);

	/** Picks up what an earlier visit left behind, and sends it. */
	async open(onSent: Sent): Promise<void> {
		this.#onSent = onSent;
		const kept = await store.all().catch(() => []);
		const here = new Set(this.waiting.map((waiting) => waiting.reading.id));
		this.waiting = [...kept.filter((waiting) => !here.has(waiting.reading.id)), ...this.waiting];
		void this.flush();
	}

	/** Sends again what a restore may have lost. */
	async offer(again: readonly Waiting[]): Promise<void> {
		const here = new Set(this.waiting.map((waiting) => waiting.reading.id));
		this.waiting = [...this.waiting, ...again.filter(({ reading }) => !here.has(reading.id))];
		await this.flush();
	}

	async add(jobId: string, reading: Reading): Promise<void> {
		const waiting = { jobId, reading };
		this.waiting = [...this.waiting, waiting];
		await store.put(waiting).catch(() => undefined);
		void this.flush();
	}

	/** Takes a refused reading out, once the person has seen why. */
	async dismiss(id: string): Promise<void> {
		this.#drop(new Set([id]));
		await store.remove(id).catch(() => undefined);
	}

	async flush(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		clearTimeout(this.#timer);
		try {
			for (let next = this.#next(); next.length > 0; next = this.#next()) {
				await this.#send(next);
				this.reachable = true;
				this.trouble = null;
				this.asksWho = false;
				this.#pause = FIRST_PAUSE;
			}
		} catch (failure) {
			this.reachable = false;
			this.trouble = failure instanceof NotNow ? failure.message : null;
			this.asksWho = failure instanceof NotNow && failure.status === 401;
			this.#timer = setTimeout(() => void this.flush(), this.#pause);
			this.#pause = Math.min(this.#pause * 2, LONGEST_PAUSE);
		} finally {
			this.#sending = false;
		}
	}

	/**
	 * The readings that wait longest, of one job; those not refused, and whoever is here wrote.
	 * What is offered again after a restore goes separately, because the server treats it differently.
	 */
	#next(): readonly Waiting[] {
		const open = this.waiting.filter(
			(waiting) => waiting.refused === undefined && !this.isOthers(waiting)
		);
		const isAlike = ({ jobId, again }: Waiting) =>
			jobId === open[0]!.jobId && again === open[0]!.again;
		return open.filter(isAlike).slice(0, AT_ONCE);
	}

	/** Sends readings of one job: several at once, and one by one where the server would not take them so. */
	async #send(batch: readonly Waiting[]): Promise<void> {
		const [{ jobId, reading, again }] = batch as readonly [Waiting, ...Waiting[]];
		const isOne = batch.length === 1;
		const response = await fetch(`/api/jobs/${jobId}/readings`, {
			method: isOne ? 'POST' : 'PUT',
			headers: {
				'content-type': 'application/json',
				'x-sent-at': new Date().toISOString(),
				...(again && { 'x-offered-again': 'yes' })
			},
			body: JSON.stringify(isOne ? reading : batch.map((waiting) => waiting.reading))
		});
		if (isForLater(response.status)) throw new NotNow(await wordsOf(response), response.status);
		const answer = (await response.json()) as { readings?: Reading[]; message?: string };
		if (response.ok) {
			const sent = batch.map((waiting) => waiting.reading);
			this.#onSent(jobId, answer.readings ?? sent);
			this.#drop(new Set(sent.map(({ id }) => id)));
			const [at, epoch] = [Date.now(), epochNow()];
			await sentStore
				.put(
					sent.map((one) => ({
						of: 'reading',
						id: one.id,
						item: { jobId, reading: one },
						at,
						epoch
					}))
				)
				.catch(() => undefined);
		} else if (!isOne) {
			for (const waiting of batch) await this.#send([waiting]);
		} else {
			const refused = {
				jobId,
				reading,
				refused: answer.message ?? tell(message('server.would-not-take'))
			};
			this.waiting = this.waiting.map((w) => (w.reading.id === reading.id ? refused : w));
			await store.put(refused).catch(() => undefined);
		}
	}

	#drop(ids: ReadonlySet<string>): void {
		this.waiting = this.waiting.filter((waiting) => !ids.has(waiting.reading.id));
	}
}

/** The server would not take it now, and says why. */
class NotNow extends Error {
	constructor(
		says: string,
		readonly status: number
	) {
		super(says);
	}
}

/** What an answer says in words; one from something between here and the server says none. */
async function wordsOf(response: Response): Promise<string> {
	const answer = (await response.json().catch(() => ({}))) as { message?: string };
	// Away is away, whatever part of it is.
	const isAway = response.status >= 500 && response.status !== 507;
	return (!isAway && answer.message) || tell(message('server.not-reached'));
}

export const outbox = new Outbox();
