/** The engine's last signed sheet before this visit. */
import { checkJob } from '@zinc-ledger/core/file';
import { ask } from '$lib/server/ask';
import { springLife } from '$lib/server/service';
import { readSigned, signedBefore } from '$lib/server/signed';

export const load = async ({ params }) => {
	const { found, life } = await ask(async (db) => ({
		found: await signedBefore(db, params.id),
		life: await springLife(db, params.id)
	}));
	if (!found) return { then: null, life };
	const { content, ...about } = found;
	const read = checkJob(readSigned(content).job);
	return { life, then: read.ok ? { ...about, signed: read.value } : null };
};
