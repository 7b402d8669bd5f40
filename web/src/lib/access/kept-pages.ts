/**
 * Forgets the pages that this browser keeps for when the server is away: whoever signs in
 * next is not to read them. What waits to be sent stays.
 */
export async function forgetPages(): Promise<void> {
	if (!('caches' in globalThis)) return;
	for (const name of await caches.keys()) if (name.startsWith('pages-')) await caches.delete(name);
}
