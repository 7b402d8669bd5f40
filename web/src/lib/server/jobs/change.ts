/** Changes of a job in the database, each kept as a decision with who and when. */
import { v7 as uuid } from 'uuid';
import {
	isOfSize,
	layoutProblem,
	lengthOf,
	springReferenceLost,
	partsOf,
	plannedEntry,
	planInForce,
	shimChanges,
	type Decision,
	type Job,
	type Person,
	type Plan,
	type Setup,
	type ShelvedShim,
	type StationEntry,
	type StationParts
} from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { countedShims, keepParts } from '../parts/parts';
import { moveParts, Short, type Move } from '../parts/stock';
import { insertDecisions, insertEntries, partsIn, searchText } from './store';
import { message, messageIn } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const json = (value: unknown) => JSON.stringify(value);

/**
 * Changes a job's set-up, if nobody changed it since the named revision. Each
 * leaf that differs is kept as a decision with who and when.
 *
 * @param builds stations that are built otherwise by the same change
 * @returns the new revision, or null when somebody else was first
 */
export async function saveSetup(
	db: Database,
	jobId: string,
	revision: number,
	setup: Setup,
	person: Person,
	builds: readonly Built[] = []
): Promise<number | null> {
	return inTransaction(db, async (trx) => {
		const row = await trx
			.selectFrom('job')
			.innerJoin('customer', 'customer.id', 'job.customer_id')
			.innerJoin('engine', 'engine.id', 'job.engine_id')
			.select(['setup', 'revision', 'number', 'customer.contact'])
			.select(['customer.name as customer_name', 'engine.name as engine_name'])
			.where('job.id', '=', jobId)
			.forUpdate('job')
			.executeTakeFirst();
		if (!row) refuse(404, message('server.unknown', { what: 'job' }));
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
			await insertDecisions(trx, jobId, [
				decide(person, { ...change, subject: `setup.${change.subject}` })
			]);
		}
		await rebuild(trx, jobId, builds, person);
		await giveUpSprings(trx, jobId, row.setup, setup, person);
		return revision + 1;
	});
}

/** What a station is built of. */
export type Built = Pick<StationEntry, 'label' | 'shims' | 'lockOffset' | 'parts' | 'spring'>;

/** Builds stations otherwise, each difference as a decision; the shelf gives and takes what it holds of it. */
async function rebuild(
	trx: Database,
	jobId: string,
	builds: readonly Built[],
	person: Person
): Promise<void> {
	if (builds.length === 0) return;
	const rows = await lockStations(trx, jobId);
	const built = builds.map(({ label, ...build }) => {
		const before = rows.get(label);
		if (!before) refuse(404, message('job.no-station', { station: label }));
		const { head, cylinder, kind, along, across } = before;
		return { before, after: { label, head, cylinder, kind, along, across, ...build } };
	});
	await reserve(trx, jobId, { reason: 'build changed', person: person.id }, built);
	for (const { before, after } of built) {
		await keepStation(trx, jobId, after);
		const decisions = changesBetween(before, after).map((change) =>
			decide(person, { ...change, subject: `stations.${after.label}.${change.subject}` })
		);
		await insertDecisions(trx, jobId, decisions);
	}
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
		if (!springReferenceLost(before, after, entry)) continue;
		await keepStation(trx, jobId, { ...entry, spring: undefined });
		const subject = `stations.${entry.label}.spring`;
		await insertDecisions(trx, jobId, [decide(person, { subject, from: entry.spring })]);
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
	await inTransaction(db, async (trx) => {
		await lockJob(trx, jobId);
		const known = await trx
			.selectFrom('job_entry')
			.select('id')
			.where('id', '=', plan.id)
			.executeTakeFirst();
		const rows = await lockStations(trx, jobId);
		const unknown = plan.stations.find(({ label }) => !rows.has(label));
		if (unknown) refuse(404, message('job.no-station', { station: unknown.label }));
		const before = plan.stations.map(({ label }) => rows.get(label)!);
		// The same plan once more changes nothing; another under its id is refused there.
		await insertEntries(trx, jobId, 'plans', [{ ...plan, before }]);
		if (known) return;
		const built = plan.stations.map((planned) => {
			const entry = rows.get(planned.label)!;
			return { before: entry, after: plannedEntry(entry, planned) };
		});
		await reserve(trx, jobId, { reason: 'plan accepted', person: plan.person }, built);
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
	await inTransaction(db, async (trx) => {
		await lockJob(trx, jobId);
		const rows = await lockStations(trx, jobId);
		const kept = await trx
			.selectFrom('job_entry')
			.select('entry')
			.where('job_id', '=', jobId)
			.where('list', '=', 'plans')
			.orderBy('position')
			.execute();
		const plan = planInForce({ plans: kept.map(({ entry }) => entry as Plan) });
		if (plan?.id !== planId) refuse(409, message('plan.not-newest'));
		const { before } = plan;
		if (!before) refuse(409, message('plan.before-unknown'));
		const built = before.map((entry) => {
			const now = rows.get(entry.label)!;
			const planned = plan.stations.find(({ label }) => label === entry.label)!;
			if (!isSameEntry(now, plannedEntry(entry, planned)))
				refuse(409, message('plan.built-otherwise', { station: entry.label }));
			return { before: now, after: entry };
		});
		await insertEntries(trx, jobId, 'plans', [
			{
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
			}
		]);
		await reserve(
			trx,
			jobId,
			{ reason: 'plan taken back', person: person.id, isTakenBack: true },
			built
		);
		for (const { after } of built) await keepStation(trx, jobId, after);
	});
}

/** Whether two builds are the same, whatever the order of their keys. */
const isSameEntry = (a: StationEntry, b: StationEntry) => changesBetween(a, b).length === 0;

/** The job's row for this transaction alone; whatever else of it is locked comes after it. */
async function lockJob(trx: Database, jobId: string) {
	const row = await trx
		.selectFrom('job')
		.select(['number', 'setup', 'revision'])
		.where('id', '=', jobId)
		.forUpdate()
		.executeTakeFirst();
	if (!row) refuse(404, message('server.unknown', { what: 'job' }));
	return row;
}

async function lockStations(
	trx: Database,
	jobId: string
): Promise<ReadonlyMap<string, StationEntry>> {
	const rows = await trx
		.selectFrom('station')
		.select(['label', 'entry'])
		.where('job_id', '=', jobId)
		.orderBy('position')
		.forUpdate()
		.execute();
	return new Map(rows.map(({ label, entry }) => [label, entry]));
}

interface Rebuilt {
	readonly before: StationEntry;
	readonly after: StationEntry;
}

interface Reserved {
	readonly reason: string;
	readonly person: string;
	/** What was taken before is given back, new springs too. */
	readonly isTakenBack?: boolean;
}

/**
 * Takes what a build needs off the shelf, and lays back what it takes out: shims, lock
 * sets and new springs of the library, and shims that only the job counts.
 *
 * @throws {@link Short} where the shelf holds less
 */
async function reserve(
	trx: Database,
	jobId: string,
	{ isTakenBack = false, ...why }: Reserved,
	built: readonly Rebuilt[]
): Promise<void> {
	const { setup, revision } = await lockJob(trx, jobId);
	const { moves, shimStock } = shelfMoves(setup.shimStock, await countedShims(trx), built);
	if (json(shimStock) !== json(setup.shimStock)) {
		await trx
			.updateTable('job')
			.set({ setup: json({ ...setup, shimStock }), revision: revision + 1 })
			.where('id', '=', jobId)
			.execute();
	}
	// A new spring that makes way for a tested one is most likely that one: it lies on no shelf.
	const springs = springMoves(setup, built).filter(({ change }) =>
		isTakenBack ? change > 0 : change < 0
	);
	await moveParts(trx, [...moves, ...lockMoves(built), ...springs], { ...why, job: jobId });
}

/** What becomes of the shelf of shims: moves of the library's, and what the job itself counts. */
function shelfMoves(
	sizes: Setup['shimStock'],
	library: readonly ShelvedShim[],
	built: readonly Rebuilt[]
): { moves: Move[]; shimStock: Setup['shimStock'] } {
	const moves: Move[] = [];
	let shimStock = sizes;
	const [before, after] = [built.map((one) => one.before), built.map((one) => one.after)];
	for (const { thickness: shim, by: change } of shimChanges(before, after)) {
		const size = sizes.find(({ thickness }) => lengthOf(thickness) === lengthOf(shim));
		const alike = library.filter((one) => isOfSize(one, size ?? { thickness: shim }));
		if (alike.length > 0) moves.push(...spread(alike, change));
		else shimStock = countedOnJob(shimStock, shim, change);
	}
	return { moves, shimStock };
}

/** Takes from the fullest first; what one does not hold is asked of the next, and of the last what none holds. */
function spread(alike: readonly ShelvedShim[], change: number): Move[] {
	const fullest = alike.toSorted((a, b) => b.stock! - a.stock!);
	if (change > 0) return [{ part: fullest[0]!.part.id, change }];
	let wanted = -change;
	return fullest.flatMap(({ part, stock }, i) => {
		const take = i === fullest.length - 1 ? wanted : Math.min(wanted, stock!);
		wanted -= take;
		return take > 0 ? [{ part: part.id, change: -take }] : [];
	});
}

/** The job's own count of a size, where it keeps one; what nobody counts stays so. */
function countedOnJob(sizes: Setup['shimStock'], shim: string, change: number): Setup['shimStock'] {
	const at = sizes.findIndex(
		({ thickness, count }) => count !== undefined && lengthOf(thickness) === lengthOf(shim)
	);
	if (at < 0) return sizes;
	const { count = 0 } = sizes[at]!;
	if (count + change < 0) throw new Short(`shim ${shim}`, -change, count);
	return sizes.with(at, { ...sizes[at]!, count: count + change });
}

/** Lock sets of their own that stations are given, or give back. */
const lockMoves = (built: readonly Rebuilt[]): Move[] =>
	built.flatMap(({ before, after }) => [
		...(before.parts?.locks?.id ? [{ part: before.parts.locks.id, change: 1 }] : []),
		...(after.parts?.locks?.id ? [{ part: after.parts.locks.id, change: -1 }] : [])
	]);

/** New springs that stations are given, or give back, card by card. */
function springMoves(setup: Setup, built: readonly Rebuilt[]): Move[] {
	const moves = new Map<string, number>();
	const count = (entry: StationEntry, by: number) => {
		const card = entry.newSpring && partsOf(setup, entry).spring?.id;
		if (card) moves.set(card, (moves.get(card) ?? 0) + by);
	};
	for (const { before, after } of built) {
		count(before, 1);
		count(after, -1);
	}
	return [...moves].map(([part, change]) => ({ part, change }));
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
	return inTransaction(db, async (trx) => {
		await lockJob(trx, jobId);
		const row = await trx
			.selectFrom('station')
			.select('entry')
			.where('job_id', '=', jobId)
			.where('label', '=', label)
			.forUpdate()
			.executeTakeFirst();
		if (!row) refuse(404, message('job.no-station', { station: label }));
		const after = { ...row.entry, [what]: value };
		const reason = `${label}: ${what === 'shims' ? 'shims fitted' : 'parts-changed'}`;
		await reserve(trx, jobId, { reason, person: person.id }, [{ before: row.entry, after }]);
		const decision = decide(person, {
			subject: `stations.${label}.${what}`,
			from: row.entry[what] as Decision['from'],
			to: value as Decision['to']
		});
		await keepStation(trx, jobId, after);
		await insertDecisions(trx, jobId, [decision]);
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
	if (!job) refuse(404, message('server.unknown', { what: 'job' }));
	const decision = decide(person, { subject, to: answer });
	await insertDecisions(db, jobId, [decision]);
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
	await inTransaction(db, async (trx) => {
		await lockJob(trx, jobId);
		const engine = await trx
			.selectFrom('engine')
			.innerJoin('job', 'job.engine_id', 'engine.id')
			.select(['engine.id', 'engine.layout'])
			.where('job.id', '=', jobId)
			.forUpdate('engine')
			.executeTakeFirst();
		if (!engine) refuse(404, message('server.unknown', { what: 'job' }));
		const before = engine.layout;
		if (json([firingOrder, firingAngles]) === json([before.firingOrder, before.firingAngles]))
			return;
		const { firingAngles: _, ...rest } = before;
		const layout = { ...rest, firingOrder, ...(firingAngles && { firingAngles }) };
		const problem = layoutProblem(layout);
		if (problem) refuse(400, messageIn(problem.text)!);
		await trx
			.updateTable('engine')
			.set({ layout: json(layout) })
			.where('id', '=', engine.id)
			.execute();
		await insertDecisions(trx, jobId, [
			decide(person, {
				subject: 'engine.layout.firingOrder',
				from: firingText(before.firingOrder, before.firingAngles),
				to: firingText(firingOrder, firingAngles)
			})
		]);
	});
}
