import { getContext, onDestroy, setContext } from 'svelte';

/** A key of the screen at hand, and what it does. */
export interface KeyHelp {
	readonly keys: readonly string[];
	readonly does: string;
}

const EVERYWHERE: readonly KeyHelp[] = [
	{ keys: ['/'], does: 'find anything' },
	{ keys: ['Ctrl', 'k'], does: 'the same, from a field too' },
	{ keys: ['F1'], does: 'explain what is at hand' },
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

const KEPT = 'zinc-letter-keys';

/** Whether single letters, figures and signs are keys of the screen; who dictates turns them off. */
class LetterKeys {
	on = $state(typeof localStorage === 'undefined' || localStorage.getItem(KEPT) !== 'off');

	turn(on: boolean) {
		this.on = on;
		localStorage.setItem(KEPT, on ? 'on' : 'off');
	}
}
export const letterKeys = new LetterKeys();

/** Whether a key press is meant for a field, a list or nobody, and not for the screen. */
export function isTyping(event: KeyboardEvent): boolean {
	return (
		event.ctrlKey ||
		event.metaKey ||
		event.altKey ||
		(event.key.length === 1 && !letterKeys.on) ||
		isWithin(event, 'input, textarea, [contenteditable], [role=combobox], [role=listbox]')
	);
}

/** Whether an event comes from an element like this, or from within one; the document itself is none. */
export const isWithin = ({ target }: Event, selector: string): boolean =>
	target instanceof Element && target.closest(selector) !== null;
