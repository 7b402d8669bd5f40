import { json } from '@sveltejs/kit';
import { VoidEntry } from '@zinc-ledger/core/schema';
import { refuseOtherName } from '$lib/server/access/gate';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { loadJob } from '$lib/server/jobs/load';
import { insertVoids } from '$lib/server/jobs/store';
import { findPerson } from '$lib/server/people';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** Strikes a reading through, with its reason. */
export async function POST({ request, params, locals }) {
	const entry = await checkedBody(request, VoidEntry);
	refuseOtherName(locals, [entry.person]);
	return withDatabase(async (db) => {
		const loaded = await loadJob(db, params.id);
		if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
		if (!loaded.job.readings.some((reading) => reading.id === entry.reading)) {
			refuse(404, message('server.reading-elsewhere'));
		}
		if (!(await findPerson(db, entry.person))) refuse(400, message('server.operator-required'));
		await insertVoids(db, params.id, [entry]);
		return json({ struck: true });
	});
}
