/** What was signed of the head before, what the shop weighs by, and the photos of what was seen. */
import { checkJob } from '@zinc-ledger/core/file';
import { ask } from '$lib/server/ask';
import { likelihoods } from '$lib/server/likelihoods';
import { listPhotos } from '$lib/server/photos';
import { readSigned, signedBefore } from '$lib/server/signed';

export const load = ({ params }) =>
	ask(async (db) => {
		const found = await signedBefore(db, params.id);
		const read = found && checkJob(readSigned(found.content).job);
		return {
			signed: read?.ok ? read.value : null,
			likelihoods: await likelihoods(db),
			photos: (await listPhotos(db, params.id)).filter(({ station }) => station === null)
		};
	});
