/**
 * Who asks. On one machine alone a person is picked by name and may do everything; on the
 * shop's network a cookie names a browser that was signed in.
 */
import type { Cookies } from '@sveltejs/kit';
import type { Role } from '$lib/access/roles';
import type { Session } from '$lib/access/session';
import { database } from '../database';
import { isDatabaseAway } from '../database/connection';
import { isId } from '../http/body';
import { findPerson, type Known } from '../people';
import { onNetwork } from './network';
import { findSession } from './sessions';

/** The cookie of a browser that is signed in: sent over TLS only, and to no other address. */
const SIGNED_IN = '__Host-zinc';
const PICKED = 'zinc-person';

export interface Who {
	readonly known: Known | null;
	readonly role: Role | null;
	/** Null on one machine alone, and where nobody signed in. */
	readonly session: Session | null;
}

const NOBODY: Who = { known: null, role: null, session: null };

/** Who asks; `away` where only the database could tell. */
export async function whoAsks(cookies: Cookies): Promise<Who | 'away'> {
	const signed = onNetwork();
	const cookie = cookies.get(signed ? SIGNED_IN : PICKED);
	if (signed && !cookie) return NOBODY;
	if (!signed && !isId(cookie)) return { ...NOBODY, role: 'owner' };
	try {
		const db = await database();
		if (signed) return (await findSession(db, cookie!)) ?? NOBODY;
		return { ...NOBODY, known: await findPerson(db, cookie!), role: 'owner' };
	} catch (error) {
		if (isDatabaseAway(error)) return 'away';
		throw error;
	}
}

/** Gives a browser the token of its session; a session cookie, which the server ends. */
export const keepToken = (cookies: Cookies, token: string) =>
	cookies.set(SIGNED_IN, token, {
		path: '/',
		httpOnly: true,
		secure: true,
		sameSite: 'lax',
		maxAge: 30 * 24 * 3600
	});

export const dropToken = (cookies: Cookies) =>
	cookies.delete(SIGNED_IN, { path: '/', httpOnly: true, secure: true });
