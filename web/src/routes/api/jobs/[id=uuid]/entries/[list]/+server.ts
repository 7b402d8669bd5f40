import { error, json } from '@sveltejs/kit';
import {
	Acceptance,
	AssemblyStep,
	Check,
	HeadWork,
	Inspection,
	Note
} from '@zinc-ledger/core/schema';
import {
	assemblyOf,
	evaluate,
	firstMissingPrerequisite,
	stepKey,
	type Job
} from '@zinc-ledger/core';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { loadJob } from '$lib/server/jobs/load';
import { insertEntries } from '$lib/server/jobs/store';
import { findPerson } from '$lib/server/people';

const SCHEMAS = {
	inspections: Inspection,
	headWork: HeadWork,
	acceptances: Acceptance,
	assembly: AssemblyStep,
	checks: Check,
	notes: Note
};

/** A step of the assembly is kept only if nothing that must come before it is missing. */
function refuseSkipped(job: Job, entry: AssemblyStep): void {
	const { steps, done } = assemblyOf(job, evaluate(job));
	const step = steps.find(({ key }) => key === stepKey(entry.place, entry.step));
	if (!step) error(404, `There is no step ${entry.step} at ${entry.place} on job ${job.number}.`);
	const lacking = entry.done && firstMissingPrerequisite(step, steps, done);
	if (lacking) error(409, `First at ${lacking.place}: ${lacking.step}.`);
	if (entry.done && step.counts && entry.count === undefined)
		error(400, 'How many are there? Count them.');
}

/** Work on the head names heads, stations and works that are there, and takes back with a reason. */
function refuseUnknownWork(job: Job, entry: HeadWork): void {
	const { heads, stations, headWork, number } = job;
	if (entry.head && !heads.some(({ id }) => id === entry.head))
		error(404, `There is no head ${entry.head} on job ${number}.`);
	const unknown = entry.stations?.find((one) => !stations.some(({ label }) => label === one));
	if (unknown) error(404, `There is no station ${unknown} on job ${number}.`);
	if (entry.withdraws === undefined) return;
	if (!headWork.some(({ id }) => id === entry.withdraws))
		error(404, 'There is no such work on this job.');
	if (!entry.note) error(400, 'Why is it taken back? Enter a reason.');
}

/** Adds to one of the job's lists that only ever grow. */
export async function POST({ request, params }) {
	if (!Object.hasOwn(SCHEMAS, params.list)) error(404, `There is no list ${params.list}.`);
	const list = params.list as keyof typeof SCHEMAS;
	// What needs the server has the server's time: a bench's clock may be years off.
	const entry = { ...(await checkedBody(request, SCHEMAS[list])), at: new Date().toISOString() };
	return ask(async (db) => {
		const loaded = await loadJob(db, params.id);
		if (!loaded) error(404, 'There is no such job.');
		const { stations, number } = loaded.job;
		if (
			'station' in entry &&
			entry.station &&
			!stations.some(({ label }) => label === entry.station)
		) {
			error(404, `There is no station ${entry.station} on job ${number}.`);
		}
		if ('step' in entry) refuseSkipped(loaded.job, entry);
		if ('work' in entry) refuseUnknownWork(loaded.job, entry);
		if (!(await findPerson(db, entry.person))) error(400, 'Pick who works at this bench.');
		await insertEntries(db, params.id, list, [entry]);
		return json({ kept: true, at: entry.at });
	});
}
