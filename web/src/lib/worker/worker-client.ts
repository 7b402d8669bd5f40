import { wrap, type Remote } from 'comlink';

/** What a page says when its worker dies. */
export const WORKER_FAILED =
	'The calculation stopped with an error. Nothing was changed. Try again, or reload the page.';

/**
 * A worker that answers through comlink. Comlink waits forever for a worker that has died or
 * never loaded; here the question fails instead.
 */
export class WorkerClient<Answers> {
	readonly #worker: Worker;
	readonly #remote: Remote<Answers>;
	readonly #death: Promise<never>;

	constructor(worker: Worker) {
		this.#worker = worker;
		this.#remote = wrap<Answers>(worker);
		this.#death = new Promise((_, fail) => {
			worker.addEventListener('error', ({ message }) =>
				fail(new Error(message || 'worker failed'))
			);
			worker.addEventListener('messageerror', () => fail(new Error('unreadable answer')));
		});
		// A worker may die while nobody asks it anything.
		this.#death.catch(() => undefined);
	}

	/** @throws where the worker fails at the question, or dies before it answers */
	ask<Answer>(question: (remote: Remote<Answers>) => PromiseLike<Answer>): Promise<Answer> {
		return Promise.race([question(this.#remote), this.#death]);
	}

	end(): void {
		this.#worker.terminate();
	}
}
