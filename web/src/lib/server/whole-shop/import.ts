/** Reads a whole shop from its folder into an empty database; all of it or nothing. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import sharp from 'sharp';
import { readJob } from '@zinc-ledger/core/file';
import { readKits } from '@zinc-ledger/core/kits';
import { readParts } from '@zinc-ledger/core/parts';
import { verifySheet } from '@zinc-ledger/core/signed';
import { sheetCrypto } from '@zinc-ledger/core/signed-node';
import { Sweep } from '@zinc-ledger/core/sweep-schema';
import { rebuild } from '../reporting/rebuild';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { insertCheck, saveGauge } from '../parts/gauges';
import { importJob } from '../jobs/store';
import { saveKept } from '../kept';
import { importKits } from '../parts/kits';
import { keepParts } from '../parts/parts';
import { makeSmall } from '../jobs/photos';
import { readSigned as readSignedText } from '@zinc-ledger/core/signed';
import { keepSweep } from '../springs/springs';
import type { Exported } from './export';
import { photoFile, readShop, type Shop } from './format';

/** A file of the folder that is not as it should be. */
export class Unreadable extends Error {
	constructor(file: string, why: unknown) {
		super(`${file}: ${typeof why === 'string' ? why : JSON.stringify(why)}`);
	}
}

type Read = (name: string) => Promise<Buffer>;

/** @throws {@link Unreadable} where a file is missing or wrong; nothing is then kept */
export async function importShop(db: Database, folder: string): Promise<Exported> {
	const read: Read = (name) =>
		readFile(join(folder, name)).catch((error: Error) => {
			throw new Unreadable(name, error.message);
		});
	const shop = readShop(JSON.parse((await read('shop.json')).toString()));
	if (!shop.success) throw new Unreadable('shop.json', shop.error.issues[0]);
	const some = await db.selectFrom('job').select('id').limit(1).executeTakeFirst();
	const parts = await db.selectFrom('part').select('id').limit(1).executeTakeFirst();
	if (some || parts) throw new Error('The shop to import into is not empty.');
	return inTransaction(db, (trx) => inside(trx, shop.data, read));
}

async function inside(db: Database, shop: Shop, read: Read): Promise<Exported> {
	await readPeople(db, shop);
	await readLibrary(db, shop, read);
	for (const { folder } of shop.jobs) {
		const name = `jobs/${folder}/job.json`;
		const job = readJob((await read(name)).toString());
		if (!job.ok) throw new Unreadable(name, job.problems[0]);
		const { problems } = await importJob(db, job.value);
		if (problems.length > 0) throw new Unreadable(name, problems[0]);
	}
	await readHeads(db, shop);
	const sheets = await readSigned(db, shop, read);
	for (const [i, public_key] of (shop.keys ?? []).entries())
		await db
			.insertInto('shop_key')
			.values({ public_key, made_at: new Date(Date.parse(shop.exportedAt) + i) })
			.onConflict((is) => is.doNothing())
			.execute();
	const sweeps = await readSets(db, shop, read);
	await readDecided(db, shop);
	await readPhotos(db, shop, read);
	await rebuild(db);
	return { jobs: shop.jobs.length, sheets, sweeps, photos: shop.photos.length };
}

async function readPeople(db: Database, { people }: Shop): Promise<void> {
	for (const { id, name, initials, units } of people)
		await db
			.insertInto('person')
			.values({
				id,
				name,
				initials,
				taken_in_here: true,
				length_unit: units?.length ?? null,
				load_unit: units?.load ?? null
			})
			.execute();
}

async function readLibrary(db: Database, shop: Shop, read: Read): Promise<void> {
	const parts = readParts((await read('parts.json')).toString());
	if (!parts.ok) throw new Unreadable('parts.json', parts.problems[0]);
	await keepParts(db, parts.value);
	const kits = readKits((await read('kits.json')).toString());
	if (!kits.ok) throw new Unreadable('kits.json', kits.problems[0]);
	await importKits(db, kits.value, null);
	for (const template of shop.templates) await saveKept(db, 'template', template, null, null);
	for (const [table, ids] of [
		['part', shop.retired.parts],
		['kit', shop.retired.kits],
		['template', shop.retired.templates]
	] as const)
		if (ids.length > 0)
			await db.updateTable(table).set({ retired: true }).where('id', 'in', ids).execute();
	for (const gauge of shop.gauges) await saveGauge(db, gauge);
	for (const check of shop.checks) await insertCheck(db, check);
}

/** Which head came on which job, as it was known: jobs alone say what place they had. */
async function readHeads(db: Database, { heads }: Shop): Promise<void> {
	await sql`update cylinder_head set engine_id = null`.execute(db);
	for (const { id, engine, place, mark, on } of heads) {
		await db
			.insertInto('cylinder_head')
			.values({ id, engine_id: engine, place, mark })
			.onConflict((is) => is.column('id').doUpdateSet({ engine_id: engine, place, mark }))
			.execute();
		for (const { job, head } of on)
			await db
				.updateTable('head')
				.set({ cylinder_head_id: id })
				.where('job_id', '=', job)
				.where('id', '=', head)
				.execute();
	}
	await sql`delete from cylinder_head where id not in (select cylinder_head_id from head)
		and engine_id is null and id <> all (${heads.map(({ id }) => id)}::uuid[])`.execute(db);
}

async function readSigned(db: Database, { jobs }: Shop, read: Read): Promise<number> {
	let sheets = 0;
	for (const { id: job, folder, signed } of jobs) {
		for (const { id, revision, entries, person } of signed) {
			const name = `jobs/${folder}/signed/${revision}.json`;
			const content = (await read(name)).toString();
			if (!verifySheet(content, sheetCrypto).ok) throw new Unreadable(name, 'not as it was signed');
			const { sha256: sum, signing } = readSignedText(content);
			const at = new Date(signing.at);
			await db
				.insertInto('signed_sheet')
				.values({ id, job_id: job, revision, entries, content, sha256: sum, person_id: person, at })
				.execute();
			sheets++;
		}
	}
	return sheets;
}

async function readSets(db: Database, { sets, people }: Shop, read: Read): Promise<number> {
	let count = 0;
	for (const set of sets) {
		await db
			.insertInto('spring_set')
			.values({
				id: set.id,
				name: set.name,
				card_id: set.card,
				job_id: set.job,
				seat: set.seat,
				lift: set.lift,
				build: set.build as never,
				limits: set.limits && JSON.stringify(set.limits),
				created_by: set.person,
				created_at: set.at
			})
			.execute();
		for (const [position, { id, tag, measured, sweeps }] of set.springs.entries()) {
			const row = { id, set_id: set.id, position, tag, measured: JSON.stringify(measured) };
			await db.insertInto('spring').values(row).execute();
			for (const { id: sweep, person } of sweeps) {
				const name = `springs/${set.id}/${sweep}.json`;
				const checked = Sweep.safeParse(JSON.parse((await read(name)).toString()));
				if (!checked.success) throw new Unreadable(name, checked.error.issues[0]);
				const by = people.find((one) => one.id === person);
				if (!by) throw new Unreadable(name, 'by nobody of this shop');
				await keepSweep(db, set.id, checked.data, by);
				count++;
			}
		}
	}
	return count;
}

async function readDecided(db: Database, { policies, serviceLimits }: Shop): Promise<void> {
	for (const { person, ...change } of policies)
		await db
			.insertInto('shop_limit')
			.values({ id: uuid(), ...change, person_id: person })
			.execute();
	for (const { part, overSpeed, person, ...limit } of serviceLimits)
		await db
			.insertInto('service_limit')
			.values({ id: uuid(), part_id: part, over_speed: overSpeed, person_id: person, ...limit })
			.execute();
}

async function readPhotos(db: Database, { photos, jobs }: Shop, read: Read): Promise<void> {
	for (const photo of photos) {
		const name = photoFile(photo);
		const content = await read(name);
		const made = await makeSmall(content);
		if ('problem' in made) throw new Unreadable(name, made.problem.code);
		const { width, height } = await sharp(content).metadata();
		const { id, folder, kit, station, evidence, person, at } = photo;
		await db
			.insertInto('photo')
			.values({
				id,
				job_id: jobs.find((job) => job.folder === folder)?.id ?? null,
				kit_id: kit,
				station,
				evidence,
				width,
				height,
				content,
				thumbnail: made.thumbnail,
				person_id: person,
				at
			})
			.execute();
	}
}
