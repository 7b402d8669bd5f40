import { fail, redirect } from '@sveltejs/kit';
import { withDatabase } from '$lib/server/with-database';
import { onNetwork } from '$lib/server/access/network';
import { noteAct } from '$lib/server/access/sign-in';
import { firstRun } from '$lib/server/first-run';
import { jobQueryOf } from '$lib/job/store/list';
import { listJobIds } from '$lib/server/jobs/list';
import { jobLines } from '$lib/server/jobs/lines';
import { importJob, noteImport } from '$lib/server/jobs/store';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { backupFolder } from '$lib/server/backup/folder';
import { backupWarning } from '$lib/server/backup/nightly';
import { claimStrays, countStrays } from '$lib/server/jobs/strays';
import { work } from '$lib/server/work/pool';

const MAX_SHOWN = 24;

export const load = async ({ url }) => {
	const query = jobQueryOf(url.searchParams);
	const { jobs, strays, begun } = await withDatabase(async (db) => ({
		begun: await firstRun(db),
		jobs: await jobLines(db, await listJobIds(db, query, MAX_SHOWN)),
		strays: await countStrays(db)
	}));
	const folder = backupFolder();
	const warning = folder === null ? null : await backupWarning(folder);
	return {
		query,
		jobs,
		strays,
		begun,
		more: jobs.length === MAX_SHOWN,
		warning: warning && tell(warning)
	};
};

export const actions = {
	import: async (event) => {
		const { locals } = event;
		const file = await work('jobFile', { sent: locals.sent });
		if (!file)
			return fail(400, {
				problems: [{ path: 'file', text: message('import.choose-file', { what: 'job' }) }]
			});
		const { read } = file;
		if (!read.ok) return fail(400, { file: file.name, problems: read.problems });
		const { id } = read.value;
		const { problems } = await withDatabase((db) =>
			importJob(db, read.value, async (trx) => {
				await noteImport(trx, id, locals.person);
				await claimStrays(trx, read.value);
			})
		);
		if (problems.length > 0) return fail(409, { file: file.name, problems });
		if (onNetwork()) await noteAct(event, { what: 'job-imported', about: { path: `/jobs/${id}` } });
		redirect(303, `/jobs/${read.value.id}`);
	}
};
