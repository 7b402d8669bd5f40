/** Writes a whole shop in the open formats, as one folder that needs no program to be read. */
import { mkdir, readdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { PART_TYPES } from '@zinc-ledger/core';
import { writeJob } from '@zinc-ledger/core/file';
import { writeKits } from '@zinc-ledger/core/kits';
import { writeParts } from '@zinc-ledger/core/parts';
import { writeSweep } from '@zinc-ledger/core/sweep-schema';
import { kitsToCsv } from '$lib/parts/kits/csv';
import { partsToCsv } from '$lib/parts/library/csv';
import { sweepToCsv } from '$lib/springs/sets/csv';
import type { Database } from '../database/connection';
import { loadJob } from '../jobs/load';
import { partsOfKits } from '../parts/kits';
import { sheetCsv } from '../signing/out/csv';
import { sheetPdf } from '../signing/out/pdf';
import { signedOut } from '../signing/out/signed-out';
import { listParts } from '../parts/parts';
import { shopKeys } from '../signing/shop-key';
import { readSigned } from '@zinc-ledger/core/signed';
import { FORMAT, photoFile, VERSION, type Shop } from './format';

export interface Exported {
	readonly jobs: number;
	readonly sheets: number;
	readonly sweeps: number;
	readonly photos: number;
}

/**
 * @param folder to write into; made where it is not there, refused where there is anything in it
 */
export async function exportShop(db: Database, folder: string): Promise<Exported> {
	await mkdir(folder, { recursive: true, mode: 0o700 });
	if ((await readdir(folder)).length > 0) throw new Error(`${folder} is not empty.`);
	const write = async (name: string, content: string | Buffer) => {
		const file = join(folder, name);
		await mkdir(dirname(file), { recursive: true });
		await writeFile(file, content);
	};
	await writeLibrary(db, write);
	const jobs = await writeJobs(db, write);
	const sets = await writeSets(db, write);
	const photos = await writePhotos(db, jobs, write);
	const shop: Shop = {
		format: FORMAT,
		version: VERSION,
		exportedAt: new Date().toISOString(),
		keys: (await shopKeys(db)).toReversed(),
		...(await decided(db)),
		...(await equipped(db)),
		heads: await headsOf(db),
		sets,
		jobs,
		photos
	};
	await write('shop.json', `${JSON.stringify(shop, null, '\t')}\n`);
	const sum = (counts: readonly number[]) => counts.reduce((all, one) => all + one, 0);
	return {
		jobs: jobs.length,
		sheets: sum(jobs.map(({ signed }) => signed.length)),
		sweeps: sum(sets.flatMap(({ springs }) => springs.map(({ sweeps }) => sweeps.length))),
		photos: photos.length
	};
}

type Write = (name: string, content: string | Buffer) => Promise<void>;

async function writeLibrary(db: Database, write: Write): Promise<void> {
	const parts = await listParts(db);
	await write('parts.json', writeParts(parts));
	for (const type of PART_TYPES) {
		const some = parts.filter((one) => one.type === type);
		if (some.length > 0) await write(`parts/${type}.csv`, partsToCsv(type, some));
	}
	const kits = (await db.selectFrom('kit').select('doc').orderBy('id').execute()).map(
		({ doc }) => doc
	);
	await write('kits.json', writeKits({ kits, parts: [...(await partsOfKits(db, kits)).values()] }));
	await write('kits.csv', kitsToCsv(kits));
}

async function writeJobs(db: Database, write: Write): Promise<Shop['jobs']> {
	const rows = await db
		.selectFrom('job')
		.select(['id', 'number'])
		.orderBy('taken_in')
		.orderBy('number')
		.execute();
	const taken = new Set<string>();
	const jobs: Shop['jobs'] = [];
	for (const { id, number } of rows) {
		const plain = number.replace(/[^\w-]+/g, '_') || 'job';
		// Two numbers may differ in nothing that a folder's name can hold.
		const folder = taken.has(plain.toLowerCase()) ? `${plain}-${id}` : plain;
		taken.add(folder.toLowerCase());
		const { job } = (await loadJob(db, id))!;
		await write(`jobs/${folder}/job.json`, writeJob(job));
		jobs.push({ id, folder, signed: await writeSigned(db, id, `jobs/${folder}/signed`, write) });
	}
	return jobs;
}

async function writeSigned(db: Database, job: string, at: string, write: Write) {
	const sheets = await db
		.selectFrom('signed_sheet')
		.select(['id', 'revision', 'entries', 'person_id as person', 'content'])
		.where('job_id', '=', job)
		.orderBy('revision')
		.execute();
	for (const { revision, content } of sheets) {
		const out = signedOut(readSigned(content));
		await write(`${at}/${revision}.json`, content);
		await write(`${at}/${revision}.csv`, sheetCsv(out));
		await write(`${at}/${revision}.pdf`, await sheetPdf(out, 'A4', false));
	}
	return sheets.map(({ id, revision, entries, person }) => ({ id, revision, entries, person }));
}

async function writeSets(db: Database, write: Write): Promise<Shop['sets']> {
	const sets = await db.selectFrom('spring_set').selectAll().orderBy('created_at').execute();
	const springs = await db.selectFrom('spring').selectAll().orderBy('position').execute();
	const written: Shop['sets'] = [];
	for (const set of sets) {
		const own: Shop['sets'][number]['springs'] = [];
		for (const { id, tag, measured } of springs.filter((one) => one.set_id === set.id)) {
			const sweeps = await db
				.selectFrom('sweep')
				.select(['id', 'doc', 'person_id as person'])
				.where('spring_id', '=', id)
				.orderBy('position')
				.execute();
			for (const { id: sweep, doc } of sweeps) {
				await write(`springs/${set.id}/${sweep}.json`, writeSweep(doc));
				await write(`springs/${set.id}/${sweep}.csv`, sweepToCsv(doc));
			}
			const of = sweeps.map(({ id: sweep, person }) => ({ id: sweep, person }));
			own.push({ id, tag, measured: { ...measured }, sweeps: of });
		}
		written.push({
			id: set.id,
			name: set.name,
			card: set.card_id,
			job: set.job_id,
			seat: set.seat,
			lift: set.lift,
			build: set.build,
			limits: set.limits && { ...set.limits },
			person: set.created_by,
			at: set.created_at.toISOString(),
			springs: own
		});
	}
	return written;
}

async function writePhotos(
	db: Database,
	jobs: Shop['jobs'],
	write: Write
): Promise<Shop['photos']> {
	const rows = await db
		.selectFrom('photo')
		.select(['id', 'job_id', 'kit_id as kit', 'station', 'evidence', 'person_id as person', 'at'])
		.orderBy('at')
		.execute();
	const written: Shop['photos'] = [];
	for (const { job_id: job, at, ...row } of rows) {
		const folder = jobs.find(({ id }) => id === job)?.folder ?? null;
		const photo = { ...row, folder, at: at.toISOString() };
		const { content } = await db
			.selectFrom('photo')
			.select('content')
			.where('id', '=', row.id)
			.executeTakeFirstOrThrow();
		await write(photoFile(photo), content);
		written.push(photo);
	}
	return written;
}

/** What people decided. */
async function decided(db: Database) {
	const people = await db.selectFrom('person').selectAll().orderBy('created_at').execute();
	const policies = await db.selectFrom('shop_limit').selectAll().orderBy('position').execute();
	const limits = await db.selectFrom('service_limit').selectAll().orderBy('position').execute();
	return {
		people: people.map(({ id, name, initials, length_unit: length, load_unit: load }) => ({
			id,
			name,
			initials,
			units: length && load ? { length, load } : null
		})),
		policies: policies.map(({ field, from, to, person_id: person, at }) => ({
			field,
			from,
			to,
			person,
			at: at.toISOString()
		})),
		serviceLimits: limits.map((row) => ({
			part: row.part_id,
			duty: row.duty,
			hours: row.hours,
			runs: row.runs,
			kilometres: row.kilometres,
			cycles: row.cycles,
			overSpeed: row.over_speed,
			person: row.person_id,
			at: row.at.toISOString()
		}))
	};
}

/** What it works with besides parts and kits. */
async function equipped(db: Database) {
	const gauges = await db.selectFrom('gauge').select('doc').orderBy('id').execute();
	const templates = await db.selectFrom('template').select('doc').orderBy('id').execute();
	const retired = async (table: 'part' | 'kit' | 'template') =>
		(await db.selectFrom(table).select('id').where('retired', '=', true).execute()).map(
			({ id }) => id
		);
	const checks = await db.selectFrom('gauge_check').select('doc').orderBy('at').execute();
	return {
		gauges: gauges.map(({ doc }) => doc),
		checks: checks.map(({ doc }) => doc),
		templates: templates.map(({ doc }) => doc),
		retired: {
			parts: await retired('part'),
			kits: await retired('kit'),
			templates: await retired('template')
		}
	};
}

async function headsOf(db: Database): Promise<Shop['heads']> {
	const heads = await db.selectFrom('cylinder_head').selectAll().orderBy('created_at').execute();
	const visits = await db.selectFrom('head').select(['job_id', 'id', 'cylinder_head_id']).execute();
	return heads.map(({ id, engine_id: engine, place, mark }) => ({
		id,
		engine,
		place,
		mark,
		on: visits
			.filter((visit) => visit.cylinder_head_id === id)
			.map(({ job_id: job, id: head }) => ({ job, head }))
	}));
}
