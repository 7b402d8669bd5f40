/** Loads the demo into its own database, through the same doors as a user's files. */
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { z } from 'zod';
import { readJob } from '@zinc-ledger/core/file';
import { Gauge, GaugeCheck } from '@zinc-ledger/core/gauge-schema';
import { readParts } from '@zinc-ledger/core/parts';
import type { Database } from './database/connection';
import { insertCheck, saveGauge } from './gauges';
import { importJob } from './jobs/store';
import { log } from './log';
import { keepParts } from './parts';
import { addSet } from './springs';

const DemoGauges = z.object({
	gauges: z.array(Gauge),
	checks: z.array(z.tuple([z.string(), z.string(), z.string(), z.string()]))
});
const CHECKED = '2026-10-05T08:00:00.000Z';
/** The set of twelve for the straight six, not yet tested. */
const SET = { name: 'Straight six, D-37', card: 'Fennick D-37 dual', job: '2417', count: 12 };

export async function loadDemo(db: Database, folder: string): Promise<void> {
	const some = await db.selectFrom('job').select('id').limit(1).executeTakeFirst();
	if (some) return;
	const text = (name: string) => readFile(join(folder, name), 'utf8');
	const library = readParts(await text('parts.json'));
	if (!library.ok) throw new Error(`parts.json: ${JSON.stringify(library.problems[0])}`);
	await keepParts(db, library.value);
	for (const file of (await readdir(join(folder, 'jobs')))
		.filter((name) => name.endsWith('.json'))
		.sort()) {
		const read = readJob(await text(join('jobs', file)));
		if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.problems[0])}`);
		const result = await importJob(db, read.value);
		log.info({ file, problems: result.problems }, 'demo job loaded');
	}
	await loadBench(db, DemoGauges.parse(JSON.parse(await text('gauges.json'))), library.value);
}

async function loadBench(
	db: Database,
	{ gauges, checks }: z.infer<typeof DemoGauges>,
	library: readonly { part: { id: string; name: string } }[]
): Promise<void> {
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
	const card = library.find(({ part }) => part.name === SET.card);
	const job = await db
		.selectFrom('job')
		.select('id')
		.where('number', '=', SET.job)
		.executeTakeFirst();
	await addSet(
		db,
		{
			name: SET.name,
			cardId: card?.part.id ?? null,
			jobId: job?.id ?? null,
			seat: '1.820 in',
			lift: '0.540 in'
		},
		SET.count,
		person
	);
}
