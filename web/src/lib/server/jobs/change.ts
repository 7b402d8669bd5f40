/** Changes of a job in the database, each kept as a decision with who and when. */
import { error } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import {
	layoutProblem,
	losesItsSpring,
	plannedEntry,
	planInForce,
	shelfAfter,
	type Decision,
	type Job,
	type Person,
	type Plan,
	type Setup,
	type StationEntry,
	type StationParts
} from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { keepParts, shift } from '../parts';
import { insertDecision, insertEntry, partsIn, searchText } from './store';

const json = (value: unknown) => JSON.stringify(value);

/**
 * Changes a job's set-up, if nobody changed it since the named revision. Each
 * leaf that differs is kept as a decision with who and when.
 *
 * @returns the new revision, or null when somebody else was first
 */
export async function saveSetup(
	db: Database,
	jobId: string,
	revision: number,
	setup: Setup,
	person: Person
): Promise<number | null> {
	return db.transaction().execute(async (trx) => {
		const row = await trx
			.selectFrom('job')
			.innerJoin('customer', 'customer.id', 'job.customer_id')
			.innerJoin('engine', 'engine.id', 'job.engine_id')
			.select(['setup', 'revision', 'number', 'customer.contact'])
			.select(['customer.name as customer_name', 'engine.name as engine_name'])
			.where('job.id', '=', jobId)
			.forUpdate('job')
			.executeTakeFirst();
		if (!row) error(404, 'There is no such job.');
		if (row.revision !== revision) return null;
		await trx
			.updateTable('job')
			.set({
				setup: json(setup),
				search: searchText(
					{
						number: row.number,
						customer: { id: '', name: row.customer_name, contact: row.contact ?? undefined },
						engine: { name: row.engine_name } as Job['engine']
					},
					setup
				),
				revision: revision + 1,
				changed_by: person.id,
				changed_at: new Date()
			})
			.where('id', '=', jobId)
			.execute();
		await keepParts(trx, partsIn(setup));
		for (const change of changesBetween(row.setup, setup)) {
			await insertDecision(
				trx,
				jobId,
				decide(person, { ...change, subject: `setup.${change.subject}` })
			);
		}
		await giveUpSprings(trx, jobId, row.setup, setup, person);
		return revision + 1;
	});
}

/** Takes the tags off stations whose spring is not on the job any more, each as a decision. */
async function giveUpSprings(
	trx: Database,
	jobId: string,
	before: Setup,
	after: Setup,
	person: Person
): Promise<void> {
	const stations = await trx
		.selectFrom('station')
		.select('entry')
		.where('job_id', '=', jobId)
		.orderBy('position')
		.forUpdate()
		.execute();
	for (const { entry } of stations) {
		if (!losesItsSpring(before, after, entry)) continue;
		await keepStation(trx, jobId, { ...entry, spring: undefined });
		const subject = `stations.${entry.label}.spring`;
		await insertDecision(trx, jobId, decide(person, { subject, from: entry.spring }));
	}
}

const keepStation = (trx: Database, jobId: string, entry: StationEntry) =>
	trx
		.updateTable('station')
		.set({ entry: json(entry) })
		.where('job_id', '=', jobId)
		.where('label', '=', entry.label)
		.execute();

/**
 * Accepts a plan in one transaction: it is kept with person and time, and the
 * stations' builds become what it says. The same plan twice is harmless; the
 * next one supersedes it.
 */
export async function acceptPlan(db: Database, jobId: string, asked: Plan): Promise<void> {
	const { id, proven, stations, note, person, at } = asked;
	const plan: Plan = { id, proven, stations, ...(note !== undefined && { note }), person, at };
	await db.transaction().execute(async (trx) => {
		const rows = await trx
			.selectFrom('station')
			.select(['label', 'entry'])
			.where('job_id', '=', jobId)
			.forUpdate()
			.execute();
		if (rows.length === 0) error(404, 'There is no such job.');
		const unknown = plan.stations.find(({ label }) => !rows.some((row) => row.label === label));
		if (unknown) error(404, `There is no station ${unknown.label} on this job.`);
		const known = await trx
			.selectFrom('job_entry')
			.select('id')
			.where('id', '=', plan.id)
			.executeTakeFirst();
		if (known) return;
		const before = plan.stations.map(({ label }) => rows.find((row) => row.label === label)!.entry);
		await insertEntry(trx, jobId, 'plans', { ...plan, before });
		const built = plan.stations.map((planned) => {
			const { entry } = rows.find((row) => row.label === planned.label)!;
			return { before: entry, after: plannedEntry(entry, planned) };
		});
		await reserve(trx, jobId, plan.person, built);
		for (const { after } of built) await keepStation(trx, jobId, after);
	});
}

/**
 * Takes an accepted plan back, with the reason: its stations are built again as
 * they were before it, and what it took goes back on the shelf. Only the newest
 * plan, and only while its stations still are as it made them.
 */
export async function withdrawPlan(
	db: Database,
	jobId: string,
	planId: string,
	reason: string,
	person: Person
): Promise<void> {
	await db.transaction().execute(async (trx) => {
		const rows = await trx
			.selectFrom('station')
			.select(['label', 'entry'])
			.where('job_id', '=', jobId)
			.orderBy('position')
			.forUpdate()
			.execute();
		const kept = await trx
			.selectFrom('job_entry')
			.select('entry')
			.where('job_id', '=', jobId)
			.where('list', '=', 'plans')
			.orderBy('position')
			.execute();
		const plan = planInForce({ plans: kept.map(({ entry }) => entry as Plan) });
		if (plan?.id !== planId) error(409, 'Only the newest plan can be taken back.');
		const { before } = plan;
		if (!before) error(409, 'This plan does not say what stood before it.');
		const built = before.map((entry) => {
			const now = rows.find(({ label }) => label === entry.label)!.entry;
			const planned = plan.stations.find(({ label }) => label === entry.label)!;
			if (!isSameEntry(now, plannedEntry(entry, planned)))
				error(409, `${entry.label} was built otherwise since: change it there.`);
			return { before: now, after: entry };
		});
		await insertEntry(trx, jobId, 'plans', {
			id: uuid(),
			withdraws: planId,
			proven: false,
			stations: before.map(({ label, shims, spring }) => ({
				label,
				shims,
				...(spring !== undefined && { spring })
			})),
			note: reason,
			person: person.id,
			at: new Date().toISOString()
		});
		await reserve(trx, jobId, person.id, built);
		for (const { after } of built) await keepStation(trx, jobId, after);
	});
}

/** Whether two builds are the same, whatever the order of their keys. */
const isSameEntry = (a: StationEntry, b: StationEntry) => changesBetween(a, b).length === 0;

/** Takes what a plan needs off the shelf, and lays back what it takes out: shims of the job, lock sets of the library. */
async function reserve(
	db: Database,
	jobId: string,
	person: string,
	built: readonly { readonly before: StationEntry; readonly after: StationEntry }[]
): Promise<void> {
	const { number, setup } = await db
		.selectFrom('job')
		.select(['number', 'setup'])
		.where('id', '=', jobId)
		.forUpdate()
		.executeTakeFirstOrThrow();
	const [before, after] = [built.map((one) => one.before), built.map((one) => one.after)];
	const shimStock = shelfAfter(setup.shimStock, before, after);
	await db
		.updateTable('job')
		.set({ setup: json({ ...setup, shimStock }) })
		.where('id', '=', jobId)
		.execute();
	const locks = new Map<string, { name: string; change: number }>();
	const count = (entries: readonly StationEntry[], by: number) => {
		for (const { parts } of entries) {
			const { id, name } = parts?.locks ?? {};
			if (!id || !name) continue;
			locks.set(id, { name, change: (locks.get(id)?.change ?? 0) + by });
		}
	};
	count(before, 1);
	count(after, -1);
	for (const [id, { name, change }] of locks) {
		if (change === 0) continue;
		const left = await shift(db, id, change, `job ${number}: plan accepted`, person);
		if (left === null && change < 0)
			error(409, `The shelf no longer holds ${-change} of ${name}: work the plan out again.`);
	}
}

/** Sets the shims or the own parts of a station's build, and keeps who decided so. */
export async function setStation<K extends 'shims' | 'parts'>(
	db: Database,
	jobId: string,
	label: string,
	what: K,
	value: K extends 'shims' ? string[] : StationParts | undefined,
	person: Person
): Promise<Decision> {
	return db.transaction().execute(async (trx) => {
		const row = await trx
			.selectFrom('station')
			.select('entry')
			.where('job_id', '=', jobId)
			.where('label', '=', label)
			.forUpdate()
			.executeTakeFirst();
		if (!row) error(404, `There is no station ${label} on this job.`);
		const decision = decide(person, {
			subject: `stations.${label}.${what}`,
			from: row.entry[what] as Decision['from'],
			to: value as Decision['to']
		});
		await keepStation(trx, jobId, { ...row.entry, [what]: value });
		await insertDecision(trx, jobId, decision);
		return decision;
	});
}

function decide(person: Person, what: Pick<Decision, 'subject' | 'from' | 'to'>): Decision {
	return { id: uuid(), ...what, person: person.id, at: new Date().toISOString() };
}

/** The leaves that differ between two plain values, by path. */
export function changesBetween(
	before: unknown,
	after: unknown,
	path = ''
): Pick<Decision, 'subject' | 'from' | 'to'>[] {
	const isBranch = (value: unknown): value is Record<string, unknown> =>
		typeof value === 'object' && value !== null && !Array.isArray(value);
	if (isBranch(before) || isBranch(after)) {
		const [old, now] = [isBranch(before) ? before : {}, isBranch(after) ? after : {}];
		const keys = [...new Set([...Object.keys(old), ...Object.keys(now)])];
		return keys.flatMap((key) =>
			changesBetween(old[key], now[key], path === '' ? key : `${path}.${key}`)
		);
	}
	if (json(before) === json(after)) return [];
	return [{ subject: path, from: before as Decision['from'], to: after as Decision['to'] }];
}

/** Keeps what somebody said to a question of the sheet. */
export async function answerQuestion(
	db: Database,
	jobId: string,
	subject: string,
	answer: boolean,
	person: Person
): Promise<Decision> {
	const job = await db.selectFrom('job').select('id').where('id', '=', jobId).executeTakeFirst();
	if (!job) error(404, 'There is no such job.');
	const decision = decide(person, { subject, to: answer });
	await insertDecision(db, jobId, decision);
	return decision;
}

/** "1-2 at 0-180": how an engine fires, in one line. */
const firingText = (
	order: readonly number[] | undefined,
	angles: readonly number[] | undefined
): string | undefined => order && `${order.join('-')}${angles ? ` at ${angles.join('-')}` : ''}`;

/** Changes in which order an engine's cylinders fire, and keeps on the job who decided so. */
export async function saveFiringOrder(
	db: Database,
	jobId: string,
	firingOrder: readonly number[],
	person: Person,
	firingAngles?: readonly number[]
): Promise<void> {
	await db.transaction().execute(async (trx) => {
		const engine = await trx
			.selectFrom('engine')
			.innerJoin('job', 'job.engine_id', 'engine.id')
			.select(['engine.id', 'engine.layout'])
			.where('job.id', '=', jobId)
			.forUpdate('engine')
			.executeTakeFirst();
		if (!engine) error(404, 'There is no such job.');
		const before = engine.layout;
		if (json([firingOrder, firingAngles]) === json([before.firingOrder, before.firingAngles]))
			return;
		const { firingAngles: _, ...rest } = before;
		const layout = { ...rest, firingOrder, ...(firingAngles && { firingAngles }) };
		const problem = layoutProblem(layout);
		if (problem) error(400, `Firing order: ${problem.message}.`);
		await trx
			.updateTable('engine')
			.set({ layout: json(layout) })
			.where('id', '=', engine.id)
			.execute();
		await insertDecision(
			trx,
			jobId,
			decide(person, {
				subject: 'engine.layout.firingOrder',
				from: firingText(before.firingOrder, before.firingAngles),
				to: firingText(firingOrder, firingAngles)
			})
		);
	});
}
