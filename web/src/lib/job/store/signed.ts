import type { Signed } from '@zinc-ledger/core';

/** A signed sheet as the list of them shows it. */
export interface SignedEntry extends Signed {
	readonly id: string;
	readonly sha256: string;
	/** Name of whoever signed. */
	readonly person: string;
	readonly at: string;
}
