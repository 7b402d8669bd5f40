import { withDatabase } from '$lib/server/with-database';
import { listGauges } from '$lib/server/parts/gauges';
import { loadJob } from '$lib/server/jobs/load';
import { listParts } from '$lib/server/parts/parts';
import { findSet, springsOf } from '$lib/server/springs/springs';
import { KINDS, message, tallestHeight, type Job, type LibraryPart } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

export const load = async ({ params, depends }) => {
	depends(`set:${params.id}`);
	const set = await withDatabase((db) => findSet(db, params.id));
	if (!set) refuse(404, message('server.unknown', { what: 'set' }));
	return withDatabase(async (db) => {
		const found = set.jobId ? await loadJob(db, set.jobId) : undefined;
		return {
			set,
			springs: await springsOf(db, params.id),
			gauges: (await listGauges(db)).filter(({ gauge }) => gauge.type === 'bench-tester'),
			library: await listParts(db, { type: 'spring' }),
			retainers: (await listParts(db, { type: 'retainer' })) as LibraryPart<'retainer'>[],
			fitted: retainersOf(found?.job, set.card?.id),
			/** In mm. */
			tallest: found ? tallestHeight(found.job, set.card?.id) : null
		};
	});
};

/** The retainers that a job has on springs of this card: on every spring of it, where the set has no card. */
function retainersOf(job: Job | undefined, card: string | undefined) {
	const kinds = job ? KINDS.map((kind) => job.setup.kinds[kind]) : [];
	const fitted = kinds.flatMap(({ spring, retainer }) =>
		retainer && (card === undefined || spring?.id === card) ? [retainer] : []
	);
	return [...new Map(fitted.map((retainer) => [retainer.name, retainer])).values()];
}
