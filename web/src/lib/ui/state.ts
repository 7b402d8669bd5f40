import type { State } from '@zinc-ledger/core';

const CLASS: Readonly<Record<State, string>> = {
	clear: '',
	'not-measured': 'text-faint',
	watch: 'text-watch',
	inconclusive: 'text-tie',
	stop: 'text-stop'
};

/** The text colour of a state; a clear figure is plain ink. */
export const stateClass = (state: State) => CLASS[state];
