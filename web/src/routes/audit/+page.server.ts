import { withDatabase } from '$lib/server/with-database';
import { listNoted } from '$lib/server/access/audit';
import { refuseWithoutNetwork } from '$lib/server/access/sign-in';

const PAGE = 100;

export const load = async ({ url }) => {
	refuseWithoutNetwork();
	const before = url.searchParams.get('before');
	const known = before && /^\d{1,15}$/.test(before) ? before : null;
	const acts = await withDatabase((db) => listNoted(db, known, PAGE + 1));
	return { acts: acts.slice(0, PAGE), more: acts.length > PAGE ? acts[PAGE - 1]!.position : null };
};
