import { EVIDENCE_CODES, message, type EvidenceCode } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { loadJob } from '$lib/server/jobs/load';
import { photoSent } from '$lib/server/jobs/photo-sent';
import { keepPhoto } from '$lib/server/jobs/photos';
import { refuse } from '$lib/server/http/refuse';

const isEvidence = (code: string): code is EvidenceCode =>
	(EVIDENCE_CODES as readonly string[]).includes(code);

/** Takes a photo of a station's valve, of a mark that was seen, or of what came with the head where neither is named: the bytes as the body. */
export async function POST({ params, url, locals }) {
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const station = url.searchParams.get('station');
	const evidence = url.searchParams.get('evidence');
	if (evidence !== null && !isEvidence(evidence))
		refuse(400, message('server.unknown', { what: 'mark' }));
	const loaded = await withDatabase((db) => loadJob(db, params.id));
	if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
	if (station !== null && !loaded.job.stations.some(({ label }) => label === station))
		refuse(404, message('job.no-station', { station }));
	return photoSent(locals.sent, (made) =>
		withDatabase((db) => keepPhoto(db, { job: params.id, station, evidence }, made, person))
	);
}
