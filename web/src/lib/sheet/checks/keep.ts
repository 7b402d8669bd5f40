import type { Check } from '@zinc-ledger/core';

/** A check as a form makes it: where, by whom and when is added by the page. */
export type CheckDraft = Check extends infer C
	? C extends Check
		? Omit<C, 'id' | 'station' | 'person' | 'at' | 'note'>
		: never
	: never;

/** Keeps a check. @returns whether it was kept */
export type Keep = (check: CheckDraft) => Promise<boolean>;
