import { message } from '@zinc-ledger/core';
import { ask } from '$lib/server/ask';
import { loadJob } from '$lib/server/jobs/load';
import { photoSent } from '$lib/server/photo-sent';
import { keepPhoto } from '$lib/server/photos';
import { refuse } from '$lib/server/refuse';

/** Takes a photo of a station's valve, or of what came with the head where no station is named: the bytes as the body. */
export async function POST({ request, params, url, locals }) {
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const station = url.searchParams.get('station');
	const loaded = await ask((db) => loadJob(db, params.id));
	if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
	if (station !== null && !loaded.job.stations.some(({ label }) => label === station))
		refuse(404, message('job.no-station', { station }));
	return photoSent(request, (made) =>
		ask((db) => keepPhoto(db, { job: params.id, station }, made, person))
	);
}
