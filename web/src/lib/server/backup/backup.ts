/** The shop's database into one file and back: every byte checked, every row counted, every signed sheet verified. */
import { mkdtemp, rename, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { sql } from 'kysely';
import { verifySheet } from '@zinc-ledger/core/signed';
import { sheetCrypto } from '@zinc-ledger/core/signed-node';
import { note } from '../access/audit';
import { encryptAll, type Unopened } from '../access/encrypted-columns';
import { ownKey } from '../access/encrypted-text';
import { connect, type Database } from '../database/connection';
import { migrate, migrations, newestMigration } from '../database/migrate';
import { extractArchive, readBackup, writeBackup, type Contents } from './file';
import { run } from './postgres';
import {
	lockInEnvironment,
	lockOf,
	openerInEnvironment,
	seal,
	unseal,
	type Lock,
	type Opener
} from './sealed';

/** Something in a folder of its own, which goes whatever happens. */
async function within<T>(place: string, work: (folder: string) => Promise<T>): Promise<T> {
	const folder = await mkdtemp(join(place, '.zinc-backup-'));
	try {
		return await work(folder);
	} finally {
		await rm(folder, { recursive: true, force: true });
	}
}

async function tablesOf(db: Database): Promise<string[]> {
	const { rows } = await sql<{ name: string }>`
		select tablename as name from pg_tables where schemaname = 'public' order by tablename
	`.execute(db);
	return rows.map(({ name }) => name);
}

/** Rows of every table. */
export async function rowsOf(db: Database): Promise<Record<string, number>> {
	const counted: Record<string, number> = {};
	for (const table of await tablesOf(db)) {
		const { rows } = await sql<{ count: string }>`
			select count(*) from ${sql.table(table)}
		`.execute(db);
		counted[table] = Number(rows[0]!.count);
	}
	return counted;
}

/** Tables that are backed up encrypted only. */
const SECRETS = ['shop_key_secret'];

/**
 * Backs a database up into a file, whatever is written to it meanwhile: what is counted and what
 * is dumped are of one moment.
 *
 * @param lock what the file is encrypted with; a plain one leaves out the key that the shop signs
 * with, and this machine's key, which PINs and second factors are under: a shop restored from it
 * elsewhere makes new ones
 */
export async function backUp(
	url: string,
	file: string,
	lock: Lock | null = lockInEnvironment()
): Promise<Contents> {
	const db = connect(url);
	try {
		return await within(dirname(file), async (folder) => {
			const archive = join(folder, 'archive');
			return db
				.transaction()
				.setIsolationLevel('repeatable read')
				.execute(async (trx) => {
					const { rows } = await sql<{ id: string }>`select pg_export_snapshot() as id`.execute(
						trx
					);
					const counted = await rowsOf(trx);
					const secrets = lock ? [] : SECRETS.filter((table) => table in counted);
					const about = {
						madeAt: new Date().toISOString(),
						migration: (await newestMigration(trx))!,
						rows: { ...counted, ...Object.fromEntries(secrets.map((table) => [table, 0])) },
						...(lock && ownKey() && { key: ownKey() })
					};
					await run('pg_dump', url, [
						'--format=custom',
						'--no-owner',
						'--no-privileges',
						...secrets.map((table) => `--exclude-table-data=public.${table}`),
						`--snapshot=${rows[0]!.id}`,
						`--file=${archive}`
					]);
					const contents = { ...about, bytes: (await stat(archive)).size };
					if (lock) {
						const plain = join(folder, 'plain');
						await writeBackup(plain, archive, contents);
						await seal(plain, join(folder, 'sealed'), lock);
						await rename(join(folder, 'sealed'), file);
					} else await writeBackup(file, archive, contents);
					return contents;
				});
		});
	} finally {
		await db.destroy();
	}
}

/** Tables that have other rows than they should. */
const otherThan = (rows: Record<string, number>, expected: Record<string, number>) =>
	Object.keys({ ...rows, ...expected }).filter((table) => rows[table] !== expected[table]);

/**
 * Restores a backup into an empty database, and looks whether all of it is there.
 *
 * @returns what it holds, how many signed sheets were verified, and what must be set up again
 * @throws where the file is not as it was made, the database is not empty, or anything is missing;
 * the database is then to be thrown away
 */
export async function restore(
	file: string,
	url: string,
	by = openerInEnvironment()
): Promise<Restored> {
	return opened(file, by, (plain) => restorePlain(plain, url));
}

export type Restored = Contents & {
	readonly sheets: number;
	/** Encrypted values that no key at hand opens. */
	readonly unopened: Unopened;
	/** Whether sheets will be signed with a new key. */
	readonly signsAnew: boolean;
};

/** Works on a backup as it is once it is decrypted, if it is encrypted at all. */
async function opened<T>(
	file: string,
	by: Opener,
	work: (plain: string) => Promise<T>
): Promise<T> {
	if ((await lockOf(file)) === null) return work(file);
	return within(tmpdir(), async (folder) => {
		const plain = join(folder, 'plain');
		await unseal(file, plain, by);
		return work(plain);
	});
}

/** Looks at every byte of a backup. @throws {@link NotABackup} where any is not as it was made */
export const checkBackup = (file: string, by = openerInEnvironment()) =>
	opened(file, by, readBackup);

async function restorePlain(file: string, url: string): Promise<Restored> {
	const { contents, start } = await readBackup(file);
	if (!migrations.includes(contents.migration))
		throw new Error(`The backup is of a later version of this program (${contents.migration}).`);
	const db = connect(url);
	try {
		if ((await tablesOf(db)).length > 0)
			throw new Error('The database to restore into is not empty.');
		await within(tmpdir(), async (folder) => {
			const archive = join(folder, 'archive');
			await extractArchive(file, start, archive);
			await run('pg_restore', url, [
				'--no-owner',
				'--no-privileges',
				'--exit-on-error',
				'--single-transaction',
				`--dbname=${new URL(url).pathname.slice(1)}`,
				archive
			]);
		});
		const missing = otherThan(await rowsOf(db), contents.rows);
		if (missing.length > 0) throw new Error(`Rows are missing in: ${missing.join(', ')}.`);
		await refuseOtherMode(db, url);
		const sheets = await verifySheets(db);
		// A database of an older release opens in this one.
		await migrate(db);
		const unopened = await encryptAll(db, [contents.key]);
		const { shop_key: keys = 0, shop_key_secret: secrets = 0 } = contents.rows;
		// A new epoch tells browsers to send again what they sent after the backup was made.
		await db
			.updateTable('shop')
			.set({ epoch: sql`gen_random_uuid()` })
			.execute();
		return { ...contents, sheets, unopened, signsAnew: keys > 0 && secrets === 0 };
	} finally {
		await db.destroy();
	}
}

/** Databases by these names are a shop's own or the demo's, while they are restored too. */
const OF_MODE = /^zinc_(own|demo)(_restoring)?$/;

/** A shop that was given the demo's backup would not start. @throws where they are of two kinds */
async function refuseOtherMode(db: Database, url: string): Promise<void> {
	const wanted = OF_MODE.exec(new URL(url).pathname.slice(1))?.[1];
	const shop = await db.selectFrom('shop').select('mode').executeTakeFirst();
	if (wanted === undefined || !shop || shop.mode === wanted) return;
	throw new Error(
		shop.mode === 'demo'
			? 'This is a backup of the demo: restore it with --demo, or under another name.'
			: 'This is a backup of a shop: restore it without --demo, or under another name.'
	);
}

/** Verifies every signed sheet. @returns how many there are */
async function verifySheets(db: Database): Promise<number> {
	const ids = await db.selectFrom('signed_sheet').select('id').orderBy('id').execute();
	for (const { id } of ids) {
		const { content } = await db
			.selectFrom('signed_sheet')
			.select('content')
			.where('id', '=', id)
			.executeTakeFirstOrThrow();
		if (!verifySheet(content, sheetCrypto).ok)
			throw new Error(`The signed sheet ${id} is not as it was signed.`);
	}
	return ids.length;
}

/**
 * What a restored database is to forget: browsers that were signed in, some of which were
 * signed out since, and codes that were handed out.
 */
export async function forgetSignedIn(url: string): Promise<void> {
	const db = connect(url);
	try {
		await db.deleteFrom('session').execute();
		await db.deleteFrom('invitation').execute();
		await sql`delete from attempt`.execute(db);
		await note(db, { what: 'restored' });
	} finally {
		await db.destroy();
	}
}
