/** Loads the demo into its own database, through the same doors as a user's files. */
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { z } from 'zod';
import { METRIC, templateOf, type Job, type Person, type VisitOf } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { Gauge, GaugeCheck } from '@zinc-ledger/core/gauge-schema';
import { readKits } from '@zinc-ledger/core/kits';
import { readParts } from '@zinc-ledger/core/parts';
import { Sweep } from '@zinc-ledger/core/sweep-schema';
import type { Database } from './database/connection';
import { insertCheck, saveGauge } from './parts/gauges';
import { jobNumbered } from './jobs/find';
import { importJob } from './jobs/store';
import { log } from './log';
import { saveKept } from './kept';
import { importKits } from './parts/kits';
import { keepParts } from './parts/parts';
import { addSet, keepSweep } from './springs/springs';
import { keepLimit } from './visits/service';
import { signJob } from './signing/signed';

const DemoGauges = z.object({
	gauges: z.array(Gauge),
	checks: z.array(z.tuple([z.string(), z.string(), z.string(), z.string()]))
});
const CHECKED = '2026-10-05T08:00:00.000Z';
const DemoSets = z.object({
	sets: z.array(
		z.object({
			name: z.string(),
			card: z.string(),
			job: z.string(),
			seat: z.string(),
			lift: z.string(),
			tags: z.number(),
			sweeps: z.array(Sweep).default([])
		})
	)
});
type Library = readonly { part: { id: string; name: string } }[];

/** Jobs of the demo that are signed, each with a sheet of its own. */
const SIGNED = ['2402'];
/** Engines of the demo that are kept as templates, by the job that each is made from. */
const TEMPLATES: Readonly<Record<string, string>> = {
	'2417': 'Haldric six, iron block',
	'2421': 'Sorrel marine V8',
	'2409': 'Twin cam four, 4 valves'
};

export async function loadDemo(db: Database, folder: string): Promise<void> {
	const some = await db.selectFrom('job').select('id').limit(1).executeTakeFirst();
	if (some) return;
	const text = (name: string) => readFile(join(folder, name), 'utf8');
	const library = readParts(await text('parts.json'));
	if (!library.ok) throw new Error(`parts.json: ${JSON.stringify(library.problems[0])}`);
	await keepParts(db, library.value);
	const kits = readKits(await text('kits.json'));
	if (!kits.ok) throw new Error(`kits.json: ${JSON.stringify(kits.problems[0])}`);
	await importKits(db, kits.value, null);
	const visits: VisitOf[] = [];
	for (const file of (await readdir(join(folder, 'jobs')))
		.filter((name) => name.endsWith('.json'))
		.sort()) {
		const read = readJob(await text(join('jobs', file)));
		if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.problems[0])}`);
		const result = await importJob(db, read.value);
		if (read.value.visitOf) visits.push(read.value.visitOf);
		await keepTemplate(db, read.value);
		log.info({ file, problems: result.problems }, 'demo job loaded');
	}
	const person = await loadBench(db, DemoGauges.parse(JSON.parse(await text('gauges.json'))));
	const sets = DemoSets.parse(JSON.parse(await text('sets.json')));
	await loadSets(db, sets, library.value, person);
	await loadVisits(db, JSON.parse(await text('visit-sets.json')), visits, library.value, person);
	for (const number of SIGNED) {
		const job = await jobNumbered(db, number);
		if (job) await signJob(db, job, person, METRIC);
	}
}

const DemoLimits = z.object({
	limits: z.array(
		z.object({
			card: z.string(),
			duty: z.string().nullable(),
			hours: z.number(),
			overSpeed: z.number().optional()
		})
	)
});

/** Signs what visits start from, oldest first, with the springs that were tested at them and what these may run. */
async function loadVisits(
	db: Database,
	file: unknown,
	visits: readonly VisitOf[],
	library: Library,
	person: Person
): Promise<void> {
	await loadSets(db, DemoSets.parse(file), library, person);
	for (const { job, sheet: id, at } of visits.toSorted((a, b) => a.at.localeCompare(b.at)))
		await signJob(db, job, person, METRIC, undefined, { id, at });
	for (const { card, ...limit } of DemoLimits.parse(file).limits) {
		const part = library.find((one) => one.part.name === card)!.part.id;
		await keepLimit(db, { part, ...limit }, person);
	}
}

async function keepTemplate(db: Database, job: Job): Promise<void> {
	const name = TEMPLATES[job.number];
	if (name) await saveKept(db, 'template', templateOf(job, { id: uuid(), name }), null, null);
}

async function loadBench(
	db: Database,
	{ gauges, checks }: z.infer<typeof DemoGauges>
): Promise<Person> {
	const person = await db
		.selectFrom('person')
		.select(['id', 'name', 'initials'])
		.orderBy('initials')
		.executeTakeFirstOrThrow();
	// The stand-ins of this demo may be on other ports, where these were taken.
	const first = Number(process.env.ZINC_GAUGES ?? 4610);
	for (const gauge of gauges) {
		const link = gauge.link && { ...gauge.link, port: first + gauge.link.port - 4610 };
		await saveGauge(db, { ...gauge, ...(link && { link }) });
	}
	for (const [gauge, against, reference, read] of checks) {
		const check = { id: uuid(), gauge, against, reference, read, person: person.id, at: CHECKED };
		await insertCheck(db, GaugeCheck.parse(check));
	}
	return person;
}

/** Sets of springs, and what the tester said of them. */
async function loadSets(
	db: Database,
	{ sets }: z.infer<typeof DemoSets>,
	library: Library,
	person: Person
): Promise<void> {
	for (const { card, job, tags, sweeps, ...set } of sets) {
		const cardId = library.find(({ part }) => part.name === card)?.part.id ?? null;
		const id = await addSet(
			db,
			{ ...set, cardId, jobId: await jobNumbered(db, job) },
			tags,
			person
		);
		for (const sweep of sweeps) await keepSweep(db, id, sweep, person);
	}
}
