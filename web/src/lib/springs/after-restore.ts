import { askEpoch } from '$lib/outbox/epoch';
import { outbox } from '$lib/outbox/outbox.svelte';
import { sentStore } from '$lib/outbox/store';
import { sweepOutbox } from './sweeps.svelte';

/**
 * Looks whether the server was restored from a backup since this browser sent what it has kept,
 * and offers all of that again; the server takes what it has already without harm.
 */
export async function offerAfterRestore(): Promise<void> {
	const epoch = await askEpoch();
	if (epoch === null) return;
	const lost = await sentStore.offerAgain(epoch).catch(() => []);
	if (lost.length === 0) return;
	sweepOutbox.offer(lost.flatMap((one) => (one.of === 'sweep' ? [one.item] : [])));
	await outbox.offer(lost.flatMap((one) => (one.of === 'reading' ? [one.item] : [])));
}
