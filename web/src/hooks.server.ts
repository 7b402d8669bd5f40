import { json, type ActionResult, type Handle, type HandleServerError } from '@sveltejs/kit';
import { INCH_POUND, type Units } from '@zinc-ledger/core';
import { AWAY } from '$lib/server/ask';
import { closeDatabase, database } from '$lib/server/database';
import { isDatabaseAway } from '$lib/server/database/connection';
import { hangUp } from '$lib/server/devices/hub';
import { closeLive } from '$lib/server/live';
import { log } from '$lib/server/log';
import { findPerson } from '$lib/server/people';

process.on('sveltekit:shutdown', () => {
	hangUp();
	void closeLive();
	void closeDatabase();
});

/**
 * The one place that knows who asks. Today whoever works at the bench is
 * picked by name and kept in a cookie; passwords will be checked here.
 */
export const handle: Handle = async ({ event, resolve }) => {
	const known = await knownPerson(event.cookies.get('zinc-person'));
	// A page can be shown to nobody in particular; nothing can be written in nobody's name.
	if (known === 'away' && event.request.method !== 'GET') return away(event.request);
	const { person, units } = known && known !== 'away' ? known : { person: null, units: null };
	event.locals.person = person;
	event.locals.units = units ?? unitsFrom(event.cookies.get('zinc-units'));
	const scheme = event.cookies.get('zinc-scheme') === 'dark' ? 'dark' : 'light';
	const response = await resolve(event, {
		transformPageChunk: ({ html }) => html.replace('<html', `<html data-scheme="${scheme}"`)
	});
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('x-frame-options', 'DENY');
	response.headers.set('referrer-policy', 'same-origin');
	return response;
};

async function knownPerson(id: string | undefined) {
	if (!id || !/^[0-9a-f-]{36}$/i.test(id)) return null;
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

function unitsFrom(cookie: string | undefined): Units {
	const match = /^(in|mm),(lbf|N|kgf)$/.exec(cookie ?? '');
	return match ? ({ length: match[1], load: match[2] } as Units) : INCH_POUND;
}

export const handleError: HandleServerError = ({ error, event, status, message }) => {
	if (status === 404) return { message: 'There is no such page.' };
	log.error({ err: error, path: event.url.pathname, status }, message);
	return {
		message: 'Something went wrong here, and it is written down in the log.',
		advice: 'What was stored is safe. Go back and try once more.'
	};
};
