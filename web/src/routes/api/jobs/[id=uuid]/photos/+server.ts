import { json } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { loadJob } from '$lib/server/jobs/load';
import { keepPhoto, makeSmall, MOST_BYTES } from '$lib/server/photos';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/refuse';

/** Takes a photo of a station's valve: the bytes as the body, the station in the address. */
export async function POST({ request, params, url, locals }) {
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const station = url.searchParams.get('station') ?? '';
	const loaded = await ask((db) => loadJob(db, params.id));
	if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
	if (!loaded.job.stations.some(({ label }) => label === station)) {
		refuse(404, message('job.no-station', { station }));
	}
	if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) {
		refuse(413, message('photo.too-large'));
	}
	const made = await makeSmall(Buffer.from(await request.arrayBuffer()));
	if ('problem' in made) refuse(415, made.problem);
	const kept = await ask((db) => keepPhoto(db, params.id, station, made, person));
	if ('problem' in kept) refuse(409, kept.problem);
	return json(kept);
}
