import {
	json,
	type ActionResult,
	type Handle,
	type HandleServerError,
	type ServerInit
} from '@sveltejs/kit';
import { INCH_POUND } from '@zinc-ledger/core';
import { AWAY } from '$lib/server/ask';
import { deriveMissingGently, deriveSoon } from '$lib/server/asked/soon';
import { backupFolder } from '$lib/server/backup/folder';
import { startNightly } from '$lib/server/backup/nightly';
import { isId } from '$lib/server/body';
import { closeDatabase, database } from '$lib/server/database';
import { isDatabaseAway } from '$lib/server/database/connection';
import { hangUp } from '$lib/server/devices/hub';
import { closeLive } from '$lib/server/live';
import { log } from '$lib/server/log';
import { findPerson } from '$lib/server/people';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { told } from '$lib/server/refuse';
import { unitsNamed } from '$lib/server/units-for';

process.on('sveltekit:shutdown', () => {
	hangUp();
	void closeLive();
	void closeDatabase();
});

/** What was kept by a release that did not derive it is derived while the server serves. */
export const init: ServerInit = () => {
	void database().then(deriveMissingGently, () => undefined);
	const folder = backupFolder();
	if (folder !== null) startNightly(process.env.DATABASE_URL!, folder, database);
};

/**
 * The one place that knows who asks. Today whoever works at the bench is
 * picked by name and kept in a cookie; passwords will be checked here.
 */
export const handle: Handle = async ({ event, resolve }) => {
	if (isForeign(event.request, event.url)) return json(FOREIGN, { status: 403 });
	if (namesNoAction(event.url))
		return json(told(message('server.unknown', { what: 'action' })), { status: 404 });
	const known = await knownPerson(event.cookies.get('zinc-person'));
	// A page can be shown to nobody in particular; nothing can be written in nobody's name.
	if (known === 'away' && event.request.method !== 'GET') return away(event.request);
	const { person, units } = known && known !== 'away' ? known : { person: null, units: null };
	event.locals.person = person;
	event.locals.chosenUnits = person ? units : unitsNamed(event.cookies.get('zinc-units'));
	event.locals.units = event.locals.chosenUnits ?? INCH_POUND;
	const scheme = event.cookies.get('zinc-scheme') === 'dark' ? 'dark' : 'light';
	const response = await resolve(event, {
		transformPageChunk: ({ html }) => html.replace('<html', `<html data-scheme="${scheme}"`)
	});
	const isChange = event.request.method !== 'GET' && response.ok;
	if (isChange && isId(event.params.id) && /^\/(api\/)?jobs\//.test(event.route.id ?? ''))
		deriveSoon(event.params.id);
	return response;
};

const FOREIGN = told(message('server.foreign'));

/** Whether a page of another address would change something here. */
function isForeign(request: Request, { origin }: URL): boolean {
	if (request.method === 'GET' || request.method === 'HEAD') return false;
	const asking = request.headers.get('origin');
	return asking !== null && asking !== origin;
}

/** Whether an action is named as what every object has, which the framework takes for one of the page's. */
const namesNoAction = ({ searchParams }: URL) =>
	[...searchParams.keys()].some((key) => key.startsWith('/') && key.slice(1) in Object.prototype);

async function knownPerson(id: string | undefined) {
	if (!isId(id)) return null;
	try {
		return await findPerson(await database(), id);
	} catch (error) {
		if (isDatabaseAway(error)) return 'away';
		throw error;
	}
}

/** The answer where the database is away, to a form of a page or to anything else. */
function away(request: Request): Response {
	const isForm = request.headers.has('x-sveltekit-action');
	const toForm = { type: 'error', status: 503, error: AWAY } satisfies ActionResult;
	return json(isForm ? toForm : AWAY, { status: 503 });
}

export const handleError: HandleServerError = ({ error, event, status, message: text }) => {
	if (status === 404) return told(message('server.unknown', { what: 'page' }));
	// What the framework itself did not understand: a method, an action, a body that is none of its own.
	if (status < 500) return { message: text };
	log.error({ err: error, path: event.url.pathname, status }, text);
	return {
		...told(message('server.failed')),
		advice: tell(message('server.failed-advice'))
	};
};
