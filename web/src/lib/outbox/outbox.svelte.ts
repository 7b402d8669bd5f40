import type { Reading } from '@zinc-ledger/core';
import { store, type Waiting } from './store';

const FIRST_PAUSE = 500;
const LONGEST_PAUSE = 8000;

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

	#sending = false;
	#pause = FIRST_PAUSE;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#onSent: Sent = () => undefined;

	/** Picks up what an earlier visit left behind, and sends it. */
	async open(onSent: Sent): Promise<void> {
		this.#onSent = onSent;
		const kept = await store.all().catch(() => []);
		const here = new Set(this.waiting.map((waiting) => waiting.reading.id));
		this.waiting = [...kept.filter((waiting) => !here.has(waiting.reading.id)), ...this.waiting];
		void this.flush();
	}

	async add(jobId: string, reading: Reading): Promise<void> {
		const waiting = { jobId, reading };
		this.waiting = [...this.waiting, waiting];
		await store.put(waiting).catch(() => undefined);
		void this.flush();
	}

	/** Takes a refused reading out, once the person has seen why. */
	async dismiss(id: string): Promise<void> {
		this.#drop(id);
		await store.remove(id).catch(() => undefined);
	}

	async flush(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		clearTimeout(this.#timer);
		try {
			for (let next = this.#next(); next; next = this.#next()) {
				await this.#send(next);
				this.reachable = true;
				this.#pause = FIRST_PAUSE;
			}
		} catch {
			this.reachable = false;
			this.#timer = setTimeout(() => void this.flush(), this.#pause);
			this.#pause = Math.min(this.#pause * 2, LONGEST_PAUSE);
		} finally {
			this.#sending = false;
		}
	}

	#next(): Waiting | undefined {
		return this.waiting.find((waiting) => waiting.refused === undefined);
	}

	async #send({ jobId, reading }: Waiting): Promise<void> {
		const response = await fetch(`/api/jobs/${jobId}/readings`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(reading)
		});
		if (response.status >= 500) throw new Error(`server says ${response.status}`);
		const answer = (await response.json()) as { readings?: Reading[]; message?: string };
		if (response.ok) {
			this.#onSent(jobId, answer.readings ?? [reading]);
			this.#drop(reading.id);
			await store.remove(reading.id).catch(() => undefined);
		} else {
			const refused = {
				jobId,
				reading,
				refused: answer.message ?? 'The server would not take it.'
			};
			this.waiting = this.waiting.map((w) => (w.reading.id === reading.id ? refused : w));
			await store.put(refused).catch(() => undefined);
		}
	}

	#drop(id: string): void {
		this.waiting = this.waiting.filter((waiting) => waiting.reading.id !== id);
	}
}

export const outbox = new Outbox();
