import { json } from '@sveltejs/kit';
import {
	Acceptance,
	AsFound,
	AssemblyStep,
	Check,
	HeadWork,
	Inspection,
	Look,
	Motions,
	Note,
	CaseOutcome,
	Since,
	Trial
} from '@zinc-ledger/core/schema';
import {
	doNotRun,
	evaluate,
	message,
	openTrial,
	visitComparison,
	type Job
} from '@zinc-ledger/core';
import { refuseOtherName } from '$lib/server/access/gate';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import type { Database } from '$lib/server/database/connection';
import { inTransaction } from '$lib/server/database/transaction';
import { loadJob } from '$lib/server/jobs/load';
import { refuseSkipped } from '$lib/server/jobs/steps';
import { insertEntries } from '$lib/server/jobs/store';
import { findPerson } from '$lib/server/people';
import { jobSignedBefore } from '$lib/server/signing/signed';
import { refuse } from '$lib/server/http/refuse';

const SCHEMAS = {
	inspections: Inspection,
	headWork: HeadWork,
	acceptances: Acceptance,
	assembly: AssemblyStep,
	checks: Check,
	notes: Note,
	asFound: AsFound,
	motions: Motions,
	since: Since,
	looks: Look,
	trials: Trial,
	outcomes: CaseOutcome
};

function refuseUnknownStation({ stations }: Job, station: string): void {
	if (!stations.some(({ label }) => label === station))
		refuse(404, message('job.no-station', { station }));
}

/** Work on the head names heads, stations and works that are there, and takes back with a reason. */
function refuseUnknownWork(job: Job, entry: HeadWork): void {
	const { heads, headWork } = job;
	if (entry.head && !heads.some(({ id }) => id === entry.head))
		refuse(404, message('job.no-head', { head: entry.head }));
	if (entry.withdraws === undefined) return;
	if (!headWork.some(({ id }) => id === entry.withdraws))
		refuse(404, message('entry.unknown-work'));
	if (!entry.note) refuse(400, message('entry.reason-missing'));
}

/** One change at a time: a new one only once the last has its result. */
function refuseSecondTrial(job: Job, { of, result }: Trial): void {
	const open = openTrial(job);
	if (of === undefined) {
		if (open) refuse(409, message('trial.open', { changed: open.changed }));
	} else if (open?.id !== of || result === undefined) refuse(409, message('trial.unknown'));
}

/** Nothing is tried on an engine that must not be run. */
async function refuseDangerousTrial(db: Database, job: Job, { of }: Trial): Promise<void> {
	if (of !== undefined) return;
	const then = job.visitOf ? await jobSignedBefore(db, job.id) : null;
	const comparison = then ? visitComparison(then.signed, job) : [];
	if (doNotRun(job, evaluate(job), comparison).length > 0)
		refuse(409, message('do-not-run.try-nothing'));
}

/** Adds to one of the job's lists that only ever grow. */
export async function POST({ request, params, locals }) {
	if (!Object.hasOwn(SCHEMAS, params.list))
		refuse(404, message('server.no-list', { list: params.list }));
	const list = params.list as keyof typeof SCHEMAS;
	// What needs the server has the server's time: a bench's clock may be years off.
	const entry = {
		...(await checkedBody(request, SCHEMAS[list], list)),
		at: new Date().toISOString()
	};
	refuseOtherName(locals, [entry.person]);
	// What is looked at and what is kept are of one moment: of two at once the second sees the first.
	const add = async (db: Database) => {
		await db.selectFrom('job').select('id').where('id', '=', params.id).forUpdate().execute();
		const loaded = await loadJob(db, params.id);
		if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
		if ('station' in entry && entry.station) refuseUnknownStation(loaded.job, entry.station);
		if ('stations' in entry && entry.stations)
			for (const one of entry.stations)
				refuseUnknownStation(loaded.job, typeof one === 'string' ? one : one.label);
		if ('step' in entry) refuseSkipped(loaded.job, entry);
		if ('tried' in entry) {
			refuseSecondTrial(loaded.job, entry);
			await refuseDangerousTrial(db, loaded.job, entry);
		}
		if ('seen' in entry)
			for (const { stations = [] } of entry.seen)
				for (const one of stations) refuseUnknownStation(loaded.job, one);
		if ('work' in entry) refuseUnknownWork(loaded.job, entry);
		if (!(await findPerson(db, entry.person))) refuse(400, message('server.operator-required'));
		await insertEntries(db, params.id, list, [entry]);
		return json({ kept: true, at: entry.at });
	};
	return withDatabase((db) => inTransaction(db, add));
}
