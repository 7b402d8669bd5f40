/** The engine's last signed sheet before this visit. */
import { checkJob } from '@zinc-ledger/core/file';
import { ask } from '$lib/server/ask';
import { readSigned, signedBefore } from '$lib/server/signed';

export const load = async ({ params }) => {
	const found = await ask((db) => signedBefore(db, params.id));
	if (!found) return { then: null };
	const { content, ...about } = found;
	const read = checkJob(readSigned(content).job);
	return { then: read.ok ? { ...about, signed: read.value } : null };
};
