import { error, json } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { loadJob } from '$lib/server/jobs/load';
import { keepPhoto, makeSmall, MOST_BYTES } from '$lib/server/photos';

/** Takes a photo of a station's valve: the bytes as the body, the station in the address. */
export async function POST({ request, params, url, locals }) {
	const { person } = locals;
	if (!person) error(401, 'Pick who works at this bench first.');
	const station = url.searchParams.get('station') ?? '';
	const loaded = await ask((db) => loadJob(db, params.id));
	if (!loaded) error(404, 'There is no such job.');
	if (!loaded.job.stations.some(({ label }) => label === station)) {
		error(404, `There is no station ${station} on job ${loaded.job.number}.`);
	}
	if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) {
		error(413, 'This photo is over 12 MB: make it smaller first.');
	}
	const made = await makeSmall(Buffer.from(await request.arrayBuffer()));
	if ('problem' in made) error(415, made.problem);
	const kept = await ask((db) => keepPhoto(db, params.id, station, made, person));
	if ('problem' in kept) error(409, kept.problem);
	return json(kept);
}
