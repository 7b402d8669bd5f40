import type { BindFound } from '@zinc-ledger/core';

/** Why a sweep tells no bind, said. */
export const BIND_WORDS: Readonly<Record<Extract<BindFound, { sort: 'none' }>['why'], string>> = {
	'too few points': 'too few points',
	'not reached': 'not reached',
	'cannot tell': 'cannot be told from this sweep'
};
