/**
 * Server-sent events for as long as the page is in view. A page that is left
 * lets its line go, since a browser has only a few to one server and keeps left
 * pages for the way back.
 */
export function listenWhileShown(
	path: string,
	hears: {
		readonly message: (text: string) => void;
		readonly opened?: () => void;
		readonly lost?: () => void;
	}
): () => void {
	let source: EventSource | null = null;
	const close = () => {
		source?.close();
		source = null;
	};
	const open = () => {
		close();
		source = new EventSource(path);
		source.onmessage = (event: MessageEvent<string>) => hears.message(event.data);
		source.onopen = () => hears.opened?.();
		source.onerror = () => hears.lost?.();
	};
	const comeBack = (event: PageTransitionEvent) => {
		if (event.persisted) open();
	};
	addEventListener('pagehide', close);
	addEventListener('pageshow', comeBack);
	open();
	return () => {
		removeEventListener('pagehide', close);
		removeEventListener('pageshow', comeBack);
		close();
	};
}
