/** Answers that are no: a status, a code, and what it says to whoever asked. */
import { error } from '@sveltejs/kit';
import type { Message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

/** A message as an answer carries it: its code and figures, and the words. */
export const asError = (says: Message): App.Error => ({ ...says, message: tell(says) });

/** Ends the request with a refusal. */
export function refuse(status: number, says: Message): never {
	error(status, asError(says));
}
