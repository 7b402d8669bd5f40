import type { Sweep } from '@zinc-ledger/core';
import { isForLater, sends, type Sender } from './later';
import { epochNow } from './epoch';
import { sentStore, sweepStore, type WaitingSweep } from './store';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

const PAUSE = 1500;

/**
 * Sweeps on their way to the server: put on the browser's disk first, sent
 * after, and sent again until they are known to be stored. The server takes the
 * same one twice without harm.
 */
class SweepOutbox {
	waiting = $state.raw<readonly WaitingSweep[]>([]);
	/** Why the server would not have one; such a sweep stays here to be seen. */
	refused = $state<string | null>(null);
	/** Sweeps stored since somebody last looked; a page that shows sweeps asks anew when there are any. */
	sent = $state(0);
	#sender: Sender = { anybody: true };
	#sending = false;

	/** Says who is at this browser now; what waited for them goes out. */
	sendAs(sender: Sender): void {
		this.#sender = sender;
		void this.#flush();
	}

	async open(): Promise<void> {
		const kept = await sweepStore.all().catch(() => []);
		const here = new Set(this.waiting.map(({ sweep }) => sweep.id));
		this.waiting = [...kept.filter(({ sweep }) => !here.has(sweep.id)), ...this.waiting];
		if (this.waiting.length > 0) void this.#flush();
	}

	/** Sends again what a restore may have lost. */
	offer(again: readonly WaitingSweep[]): void {
		const here = new Set(this.waiting.map(({ sweep }) => sweep.id));
		this.waiting = [...this.waiting, ...again.filter(({ sweep }) => !here.has(sweep.id))];
		void this.#flush();
	}

	async add(setId: string, sweep: Sweep, by?: string): Promise<void> {
		const waiting = { setId, sweep, ...(by && { by }) };
		this.waiting = [...this.waiting, waiting];
		await sweepStore.put(waiting).catch(() => undefined);
		void this.#flush();
	}

	/** The one that waits longest of those that whoever is here took. */
	#next = () => this.waiting.find(({ by }) => sends(this.#sender, by));

	async #flush(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		for (let next = this.#next(); next; next = this.#next()) {
			const answer = await send(next);
			if (answer === 'later') {
				await new Promise((later) => setTimeout(later, PAUSE));
				continue;
			}
			this.refused = answer;
			if (answer !== null) break;
			this.waiting = this.waiting.filter(({ sweep }) => sweep.id !== next.sweep.id);
			const { setId, sweep, by } = next;
			const item = { setId, sweep, ...(by && { by }) };
			const sent = { of: 'sweep', id: sweep.id, item, at: Date.now(), epoch: epochNow() } as const;
			await sentStore.put([sent]).catch(() => undefined);
			this.sent++;
		}
		this.#sending = false;
	}
}

/** @returns null when it is stored, 'later' when the server is away, else why it was refused */
async function send({ setId, sweep, by, again }: WaitingSweep): Promise<string | null | 'later'> {
	try {
		const response = await fetch(`/api/sets/${setId}/sweeps${by ? `?by=${by}` : ''}`, {
			method: 'POST',
			headers: {
				'content-type': 'application/json',
				...(again && { 'x-offered-again': 'yes' })
			},
			body: JSON.stringify(sweep)
		});
		if (response.ok) return null;
		if (isForLater(response.status)) return 'later';
		const answer = (await response.json()) as { message?: string };
		return answer.message ?? tell(message('server.would-not-take'));
	} catch {
		return 'later';
	}
}

export const sweepOutbox = new SweepOutbox();
