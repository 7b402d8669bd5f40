/** Lets a request through, or says why not: the one place where the table of needs is asked. */
import { error, json, redirect, type ActionResult, type RequestEvent } from '@sveltejs/kit';
import { message, type Message } from '@zinc-ledger/core';
import { may, needOf } from '$lib/access/needs';
import { AWAY } from '../with-database';
import { refuse, asError } from '../http/refuse';
import { asksTooOften } from './limits';
import { onNetwork } from './network';
import type { Who } from './who-asks';

const isRead = ({ method }: Request) => method === 'GET' || method === 'HEAD';

/** Whether a page of another address would change something here. */
export function isForeign(request: Request, { origin }: URL): boolean {
	if (isRead(request)) return false;
	const asking = request.headers.get('origin');
	if (asking !== null) return asking !== origin;
	// On the network a browser always says where a change comes from.
	return onNetwork() && request.headers.get('sec-fetch-site') !== 'same-origin';
}

/** An answer of the server's own to a form of a page, or to anything else. */
export function answerNo(request: Request, status: number, says: App.Error): Response {
	const isForm = request.headers.has('x-sveltekit-action');
	const toForm = { type: 'error', status, error: says } satisfies ActionResult;
	return json(isForm ? toForm : says, { status });
}

/** The answer to what may not be done; null where it may. */
export async function refusalOf(event: RequestEvent, who: Who | 'away'): Promise<Response | null> {
	const { request, route, url, params } = event;
	const need = needOf({ route: route.id, method: request.method, url, list: params.list });
	if (who === 'away') {
		const isOpen = need === 'anyone' || (isRead(request) && !onNetwork());
		return isOpen ? null : no(event, 503, AWAY);
	}
	// On one machine alone everybody may do everything.
	if (!onNetwork()) return null;
	const isOften = who.session
		? asksTooOften('session', who.session.key)
		: asksTooOften('address', event.getClientAddress());
	if (await isOften) return no(event, 429, asError(message('access.too-often')));
	if (may({ hasSession: who.session !== null, role: who.role }, need)) return null;
	if (who.session === null) return comeIn(event, '/sign-in', message('access.sign-in-first'));
	if (who.role === null) return comeIn(event, '/bench', message('server.operator-required'));
	return no(event, 403, asError(message('access.not-allowed', { role: who.role })));
}

const isPage = ({ request, route }: RequestEvent) =>
	isRead(request) && !/^\/api\/|\/file$|\[file\]$|^\/photos\//.test(route.id ?? '');

/** A page is asked for again once somebody is known; anything else is told so. */
function comeIn(event: RequestEvent, way: string, says: Message): Response {
	if (!isPage(event)) return no(event, 401, asError(says));
	const { pathname, search } = event.url;
	redirect(303, `${way}?back=${encodeURIComponent(pathname + search)}`);
}

/** A page says it as a page; anything else as data. */
function no(event: RequestEvent, status: number, says: App.Error): Response {
	if (isPage(event)) error(status, says);
	return answerNo(event.request, status, says);
}

/** In the name of nobody else: what somebody wrote is kept for whoever is signed in as that person. */
export function refuseOtherName(
	{ session, person }: App.Locals,
	names: readonly (string | undefined)[]
): void {
	if (session && names.some((id) => id !== person?.id)) refuse(403, message('access.other-person'));
}
