import { message } from '@zinc-ledger/core';
import { ask } from '../ask';
import { signedOut, type SignedOut } from '../out/signed-out';
import { refuse } from '../refuse';
import { readSigned } from '../signed';
import { opened } from './shares';

/** The sheet that a customer's link opens; refused in the same words whether it never was one or has ended. */
export async function openedSheet(
	token: string,
	counts: boolean
): Promise<{ readonly signed: SignedOut; readonly until: string }> {
	const found = await ask((db) => opened(db, token, counts));
	if (!found) refuse(404, message('access.link-ended'));
	return { signed: signedOut(readSigned(found.content)), until: found.until.toISOString() };
}
