import { describe, expect, it } from 'vitest';
import { WorkerClient } from './worker-client';

/** A worker that never answers, and dies when told to. */
class SilentWorker extends EventTarget {
	postMessage(): void {
		// Nothing comes back.
	}
	terminate(): void {
		// There is no thread to end.
	}
	die(): void {
		this.dispatchEvent(Object.assign(new Event('error'), { message: 'out of memory' }));
	}
}
const started = () => {
	const worker = new SilentWorker();
	return { worker, asked: new WorkerClient<{ add: () => number }>(worker as unknown as Worker) };
};

describe('a worker that is asked', () => {
	it('fails a question that it dies over', async () => {
		const { worker, asked } = started();
		const answer = asked.ask((remote) => remote.add());
		worker.die();
		await expect(answer).rejects.toThrow('out of memory');
	});
	it('fails a question that comes after its death', async () => {
		const { worker, asked } = started();
		worker.die();
		await expect(asked.ask((remote) => remote.add())).rejects.toThrow('out of memory');
	});
	it('passes on the answer of one that lives', async () => {
		const { asked } = started();
		await expect(asked.ask(() => Promise.resolve(3))).resolves.toBe(3);
	});
});
