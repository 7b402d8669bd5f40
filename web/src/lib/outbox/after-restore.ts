import { askEpoch } from './epoch';
import { outbox } from './outbox.svelte';
import { sentStore } from './store';
import { sweepOutbox } from './sweeps.svelte';

/**
 * Checks whether the server was restored from a backup since this browser sent what it keeps, and
 * if so sends all of that again. The server recognizes what it already has by its id.
 */
export async function offerAfterRestore(): Promise<void> {
	const epoch = await askEpoch();
	if (epoch === null) return;
	const lost = await sentStore.offerAgain(epoch).catch(() => null);
	if (!lost) return;
	sweepOutbox.offer(lost.sweeps);
	await outbox.offer(lost.readings);
}
