import { getContext, onDestroy, setContext } from 'svelte';

/** A key of the screen at hand, and what it does. */
export interface KeyHelp {
	readonly keys: readonly string[];
	readonly does: string;
}

const EVERYWHERE: readonly KeyHelp[] = [
	{ keys: ['Ctrl', 'k'], does: 'find anything' },
	{ keys: ['/'], does: 'find a job' },
	{ keys: ['?'], does: 'these keys' },
	{ keys: ['Tab'], does: 'next control' }
];

/** The keys of the screen at hand; each screen says its own while it is shown. */
export class Keys {
	here = $state.raw<readonly KeyHelp[]>([]);
	all = $derived([...this.here, ...EVERYWHERE]);
	open = $state(false);
}

const KEY = Symbol('keys');
export const setKeys = (keys: Keys) => setContext(KEY, keys);

/** Says which keys this screen has, for as long as it is shown. */
export function useKeys(help: readonly KeyHelp[]): void {
	const keys = getContext<Keys>(KEY);
	keys.here = help;
	onDestroy(() => {
		if (keys.here === help) keys.here = [];
	});
}

/** Whether a key press is meant for a field and not for the screen. */
export function isTyping(event: KeyboardEvent): boolean {
	const target = event.target as HTMLElement | null;
	return (
		event.ctrlKey ||
		event.metaKey ||
		event.altKey ||
		!!target?.closest(
			'input:not([type=checkbox], [type=radio]), textarea, select, [contenteditable]'
		)
	);
}
