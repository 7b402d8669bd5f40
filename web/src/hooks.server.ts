import {
	isHttpError,
	isRedirect,
	json,
	type Handle,
	type HandleServerError,
	type RequestEvent,
	type ServerInit
} from '@sveltejs/kit';
import { INCH_POUND } from '@zinc-ledger/core';
import { note } from '$lib/server/access/audit';
import { bodyLimitOf } from '$lib/access/body-limits';
import { bodyWithin } from '$lib/server/http/body-within';
import { answerNo, isForeign, refusalOf } from '$lib/server/access/gate';
import { closeLimits } from '$lib/server/access/limits';
import { EXPORTS } from '$lib/access/needs';
import { onNetwork } from '$lib/server/access/network';
import { encryptClear } from '$lib/server/access/encrypted-columns';
import { whoAsks, type Who } from '$lib/server/access/who-asks';
import { withDatabase } from '$lib/server/with-database';
import { deriveMissingGently, deriveSoon } from '$lib/server/reporting/soon';
import { backupFolder } from '$lib/server/backup/folder';
import { startNightly } from '$lib/server/backup/nightly';
import { isId } from '$lib/server/http/body';
import { closeDatabase, database } from '$lib/server/database';
import { hangUp } from '$lib/server/devices/hub';
import { publishKeys } from '$lib/server/signing/shop-key';
import { closeLive } from '$lib/server/live';
import { log } from '$lib/server/log';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { asError } from '$lib/server/http/refuse';
import { unitsNamed } from '$lib/server/http/units-for';
import { noteAnswer } from '$lib/server/watch';
import { closeWork } from '$lib/server/work/pool';

process.on('sveltekit:shutdown', () => {
	hangUp();
	void closeLive();
	void closeLimits();
	void closeWork();
	void closeDatabase();
});

/** What was kept by a release that did not derive it is derived while the server serves. */
export const init: ServerInit = () => {
	void database().then(deriveMissingGently, () => undefined);
	// A shop without the file still signs; its sheets are verified with the key from its page.
	void database()
		.then((db) => publishKeys(db))
		.catch(() => undefined);
	if (onNetwork())
		void database()
			.then(encryptClear)
			.catch((error: unknown) => log.error({ error: String(error) }, 'secrets not encrypted'));
	const folder = backupFolder();
	// Of several processes of a shop one backs it up.
	if (folder !== null && process.env.ZINC_NIGHTLY !== '')
		startNightly(process.env.DATABASE_URL!, folder, database);
};

/** Every request passes here: from a page of ours, by somebody who may, noted where it is to be. */
export const handle: Handle = async (input) => {
	const begun = performance.now();
	const noted = (status: number) => noteAnswered(input.event, status, performance.now() - begun);
	try {
		const response = await answer(input);
		noted(response.status);
		return response;
	} catch (thrown) {
		// Sent on to sign in, or refused as a page: an answer like any other.
		noted(isRedirect(thrown) || isHttpError(thrown) ? thrown.status : 500);
		throw thrown;
	}
};

function noteAnswered({ request, route }: RequestEvent, status: number, took: number): void {
	const answered = { route: route.id ?? 'none', method: request.method, status };
	noteAnswer(answered, took);
	if (onNetwork())
		log.info({ request: requestId(request), ...answered, took: Math.round(took) }, 'answered');
}

/** The server names every request, in its answer and in the log. */
const requestId = (request: Request) => request.headers.get('x-request-id') ?? undefined;

const answer: Handle = async ({ event, resolve }) => {
	if (isForeign(event.request, event.url)) return json(FOREIGN, { status: 403 });
	if (namesNoAction(event.url))
		return json(asError(message('server.unknown', { what: 'action' })), { status: 404 });
	const who = await whoAsks(event.cookies);
	const refusal = await refusalOf(event, who);
	if (refusal) return refusal;
	standAs(event, who === 'away' ? null : who);
	const body = await takeBody(event);
	if (body instanceof Response) return body;
	try {
		return await answerRead(event, resolve);
	} finally {
		body.done();
	}
};

/** Answers a request whose body was read. */
async function answerRead(
	event: RequestEvent,
	resolve: Parameters<Handle>[0]['resolve']
): Promise<Response> {
	const scheme = event.cookies.get('zinc-scheme') === 'dark' ? 'dark' : 'light';
	const response = await resolve(event, {
		transformPageChunk: ({ html }) => html.replace('<html', `<html data-scheme="${scheme}"`)
	});
	await noteExport(event, response);
	const isChange = event.request.method !== 'GET' && response.ok;
	if (isChange && isId(event.params.id) && /^\/(api\/)?jobs\//.test(event.route.id ?? ''))
		deriveSoon(event.params.id);
	return onNetwork() ? forOneBrowser(response) : response;
}

const FOREIGN = asError(message('server.foreign'));

/** Reads a body up to its limit before anything else does; the answer where it is refused. */
async function takeBody(event: RequestEvent): Promise<Response | { done: () => void }> {
	const { request, route, url, params } = event;
	if (request.method === 'GET' || request.method === 'HEAD') return { done: () => undefined };
	const asked = { route: route.id, method: request.method, url, list: params.list };
	const read = await bodyWithin(request, bodyLimitOf(asked));
	if (!read.ok) return answerNo(request, REFUSED[read.why].status, asError(REFUSED[read.why].says));
	event.request = read.request;
	event.locals.sent = read.sent ?? null;
	return read;
}
const REFUSED = {
	'too-large': { status: 413, says: message('server.too-large') },
	'too-many-parts': { status: 413, says: message('server.too-large') },
	busy: { status: 503, says: message('server.busy') },
	'broken-off': { status: 400, says: message('server.broken-off') }
} as const;

function standAs({ locals, cookies }: RequestEvent, who: Who | null): void {
	locals.person = who?.known?.person ?? null;
	locals.role = who?.role ?? null;
	locals.session = who?.session ?? null;
	locals.chosenUnits = who?.known ? who.known.units : unitsNamed(cookies.get('zinc-units'));
	locals.units = locals.chosenUnits ?? INCH_POUND;
}

/** Who took something out of the shop is noted, where people are known. */
async function noteExport(event: RequestEvent, response: Response): Promise<void> {
	const { locals, route, url } = event;
	if (!onNetwork() || !response.ok || !EXPORTS.has(route.id ?? '')) return;
	const about = { path: url.pathname };
	const address = event.getClientAddress();
	await withDatabase((db) =>
		note(db, { what: 'exported', person: locals.person?.id, about, address })
	);
}

/** What is told to one browser is kept by nobody on the way. */
function forOneBrowser(response: Response): Response {
	if (!response.headers.has('cache-control'))
		response.headers.append('cache-control', 'private, no-cache');
	return response;
}

/**
 * Whether an action is named as what every object has, which the framework takes for one of the
 * page's, or as the one that has no name, which it fails at.
 */
const namesNoAction = ({ searchParams }: URL) =>
	[...searchParams.keys()].some(
		(key) => key === '/default' || (key.startsWith('/') && key.slice(1) in Object.prototype)
	);

export const handleError: HandleServerError = ({ error, event, status, message: text }) => {
	if (status === 404) return asError(message('server.unknown', { what: 'page' }));
	// What the framework itself did not understand: a method, an action, a body that is none of its own.
	if (status < 500) return { message: text };
	const { request, route } = event;
	log.error({ err: error, request: requestId(request), route: route.id, status }, text);
	return {
		...asError(message('server.failed')),
		advice: tell(message('server.failed-advice'))
	};
};
