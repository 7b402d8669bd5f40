/** A shop's database in one file, and back. */
import { execFile } from 'node:child_process';
import {
	chmod,
	mkdir,
	mkdtemp,
	readdir,
	readFile,
	rm,
	stat,
	utimes,
	writeFile
} from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { sql } from 'kysely';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { encryptClear } from '../access/encrypted-columns';
import { decrypt } from '../access/encrypted-text';
import { setSecondFactor } from '../access/second-factor';
import { loadDemo } from '../demo';
import { keepPhoto, makeSmall, photoContent } from '../jobs/photos';
import { testDatabase, type TestDatabase } from '../test-database';
import { migrate, migrations, newestMigration } from '../database/migrate';
import { backUp, checkBackup, forgetSignedIn, restore, rowsOf } from './backup';
import { backUpBeforeMigrating } from './before-migrating';
import { readBackup } from './file';
import { backupWarning, backUpNightly, isDue } from './nightly';
import { lockOf, newPair } from './sealed';

let shop: TestDatabase;
let folder: string;
let file: string;
let photo: string;
beforeAll(async () => {
	shop = await testDatabase('backup_shop');
	await loadDemo(shop.db, 'demo');
	const [job] = await shop.db.selectFrom('job').select('id').orderBy('number').execute();
	const person = await shop.db.selectFrom('person').selectAll().executeTakeFirstOrThrow();
	const picture = await sharp({
		create: { width: 300, height: 200, channels: 3, background: '#678' }
	})
		.png()
		.toBuffer();
	const made = await makeSmall(picture);
	if ('problem' in made) throw new Error(made.problem.code);
	const kept = await keepPhoto(shop.db, { job: job!.id, station: null }, made, person);
	photo = (kept as { id: string }).id;
	folder = await mkdtemp(join(tmpdir(), 'zinc-backup-test-'));
	file = join(folder, 'shop.backup');
});
afterAll(async () => {
	await shop.drop();
	await rm(folder, { recursive: true, force: true });
});

let made = 0;
/** An empty database, for as long as the work takes. */
async function into<T>(work: (empty: TestDatabase) => Promise<T>): Promise<T> {
	const empty = await testDatabase(`backup_empty_${++made}`, false);
	try {
		return await work(empty);
	} finally {
		await empty.drop();
	}
}
/** All that a table says, row by row. */
const contentOf = async (of: TestDatabase, table: string) => {
	const { rows } = await sql<{ row: string }>`
		select one::text as row from ${sql.table(table)} one order by one::text
	`.execute(of.db);
	return rows.map(({ row }) => row);
};

describe('a backup', () => {
	it('is restored whole: every row, every photo, every signed sheet', async () => {
		const made = await backUp(shop.url, file);
		expect(made.rows.job).toBeGreaterThan(10);
		expect((await stat(file)).mode & 0o777).toBe(0o600);
		await into(async (empty) => {
			const restored = await restore(file, empty.url);
			expect(restored.sheets).toBe(made.rows.signed_sheet);
			expect(restored.sheets).toBeGreaterThan(0);
			// The secret half of the shop's key is in no file that anybody can open.
			expect((await rowsOf(shop.db)).shop_key_secret).toBe(1);
			expect(await rowsOf(empty.db)).toEqual({ ...(await rowsOf(shop.db)), shop_key_secret: 0 });
			for (const table of Object.keys(made.rows).filter((name) => name !== 'shop_key_secret'))
				expect(await contentOf(empty, table), table).toEqual(await contentOf(shop, table));
			expect(await photoContent(empty.db, photo, 'content')).toEqual(
				await photoContent(shop.db, photo, 'content')
			);
			// It is the application's own again: what is written next gets a place after the last.
			await sql`insert into service_limit (id, part_id, person_id)
				select gen_random_uuid(), (select id from part limit 1), (select id from person limit 1)`.execute(
				empty.db
			);
		});
	});
	it('of the demo goes into no shop of its own', async () => {
		await sql`insert into shop (mode) values ('demo')`.execute(shop.db);
		const demo = join(folder, 'demo.backup');
		await backUp(shop.url, demo);
		await sql`delete from shop`.execute(shop.db);
		await sql`create database zinc_own_restoring`.execute(shop.db);
		const own = new URL(shop.url);
		own.pathname = '/zinc_own_restoring';
		await expect(restore(demo, own.href)).rejects.toThrow('backup of the demo');
		await sql`drop database zinc_own_restoring`.execute(shop.db);
		await into(async (empty) => expect(await restore(demo, empty.url)).toBeTruthy());
	});
	it('is of one moment, whatever is written meanwhile', async () => {
		const other = join(folder, 'busy.backup');
		const writing = (async () => {
			for (let i = 0; i < 40; i++)
				await sql`insert into customer (id, name) values (gen_random_uuid(), ${`Busy ${i}`})`.execute(
					shop.db
				);
		})();
		const made = await backUp(shop.url, other);
		await writing;
		await into(async (empty) => {
			expect((await restore(other, empty.url)).rows).toEqual(made.rows);
		});
	});
	it('is refused with one byte flipped, wherever it is', async () => {
		const whole = await readFile(file);
		const { start } = await readBackup(file);
		const bad = join(folder, 'bad.backup');
		const places = [0, 25, 60, start - 5, start + 10, whole.length >> 1, whole.length - 1];
		for (const at of places) {
			const flipped = Buffer.from(whole);
			flipped[at]! ^= 1;
			await writeFile(bad, flipped);
			await expect(readBackup(bad), `byte ${at}`).rejects.toThrow(/no backup|version|checksum/);
		}
		// Restoring reads it first, and leaves the database as it was.
		await into(async (empty) => {
			await expect(restore(bad, empty.url)).rejects.toThrow(/checksum/);
			expect(await rowsOf(empty.db)).toEqual({});
		});
		await writeFile(bad, whole.subarray(0, whole.length - 1));
		await expect(readBackup(bad)).rejects.toThrow(/checksum/);
	});
	it('is restored by the command into an empty shop, and over no other', async () => {
		const data = join(folder, 'data');
		await mkdir(data);
		for (const open of [folder, data]) await chmod(open, 0o755);
		const zinc = (...asked: string[]) =>
			promisify(execFile)('./zinc', asked, { env: { ...process.env, ZINC_DATA: data } });
		await expect(zinc('backup')).rejects.toMatchObject({
			stderr: expect.stringMatching(/start the shop once/)
		});
		const restored = await zinc('restore', file);
		expect(restored.stdout).toMatch(/\d+ rows, [1-9]\d* signed sheets verified/);
		await expect(zinc('restore', file)).rejects.toMatchObject({
			stderr: expect.stringMatching(/is not empty/)
		});
		const again = join(folder, 'again.backup');
		await zinc('backup', again);
		const { rows } = (await readBackup(file)).contents;
		// All of it, and a line in the trail that says so.
		const noted = { ...rows, audit: rows.audit! + 1 };
		expect((await readBackup(again)).contents.rows).toEqual(noted);
	});
	it('is made before a newer program changes a database, and of no other', async () => {
		const backups = join(folder, 'backups');
		await into(async (old) => {
			expect(await backUpBeforeMigrating(old.db, old.url, backups)).toBeNull();
			await migrate(old.db, '0016-visits');
			const made = (await backUpBeforeMigrating(old.db, old.url, backups))!;
			expect((await readBackup(made)).contents.migration).toBe('0016-visits');
			await migrate(old.db);
			expect(await backUpBeforeMigrating(old.db, old.url, backups)).toBeNull();
			// It comes back, and up to date.
			await into(async (empty) => {
				await restore(made, empty.url);
				expect(await newestMigration(empty.db)).toBe(migrations.at(-1));
			});
		});
	});
	it('is made on its own, read back, and told of when it grows old', async () => {
		const nightly = join(folder, 'nightly');
		const day = (n: number) => new Date(Date.UTC(2026, 2, n, 2));
		// A shop that just opened makes its first; one that could not says so.
		expect(await backupWarning(nightly, day(1), 1000)).toBeNull();
		expect(await backupWarning(nightly, day(1), 3_600_000)).toEqual({ code: 'backup.none' });
		for (let n = 1; n <= 9; n++) await backUpNightly(shop.url, nightly, day(n));
		const kept = (await readdir(nightly)).toSorted();
		// Seven days, and the Sunday before them.
		expect(kept.map((name) => name.slice(14, 16))).toEqual([
			'01',
			'03',
			'04',
			'05',
			'06',
			'07',
			'08',
			'09'
		]);
		expect((await stat(nightly)).mode & 0o777).toBe(0o700);
		const now = Date.now();
		expect(await backupWarning(nightly, new Date(now), 3_600_000)).toBeNull();
		const later = new Date(now + 49 * 3_600_000);
		expect(await backupWarning(nightly, later)).toMatchObject({ code: 'backup.old' });
		// One made while the clock was years ahead neither stops the next nor passes for the last.
		const ahead = new Date(now + 9 * 365 * 24 * 3_600_000);
		await writeFile(join(nightly, 'ahead.backup'), '');
		await utimes(join(nightly, 'ahead.backup'), ahead, ahead);
		expect(await backupWarning(nightly, later)).toMatchObject({ code: 'backup.old' });
		expect(await backupWarning(nightly, new Date(now))).toMatchObject({ code: 'backup.future' });
		expect(isDue([ahead, day(9)], day(10))).toBe(true);
		expect(isDue([ahead, day(9)], new Date(day(9).getTime() + 3_600_000))).toBe(false);
	});
	it('goes into no database that holds anything', async () => {
		await expect(restore(file, shop.url)).rejects.toThrow(/not empty/);
	});
});

describe('a backup under a passphrase', () => {
	it('says nothing without it, and opens with it: here and by the program that many have', async () => {
		const sealed = join(folder, 'sealed.backup');
		const passphrase = 'a passphrase of the shop';
		await backUp(shop.url, sealed, { passphrase });
		expect((await stat(sealed)).mode & 0o777).toBe(0o600);
		const bytes = await readFile(sealed);
		expect(bytes.toString('latin1')).not.toContain('zinc-ledger/backup');
		await expect(checkBackup(sealed, {})).rejects.toThrow('is under a passphrase');
		await expect(checkBackup(sealed, { passphrase: 'another' })).rejects.toThrow('does not open');
		await into(async (empty) => {
			const { rows } = await restore(sealed, empty.url, { passphrase });
			expect(rows).toEqual(await rowsOf(shop.db));
			expect(await contentOf(empty, 'shop_key_secret')).toEqual(
				await contentOf(shop, 'shop_key_secret')
			);
		});
		bytes[bytes.length - 40]! ^= 1;
		await writeFile(sealed, bytes);
		await expect(checkBackup(sealed, { passphrase })).rejects.toThrow('does not open');
	});
});

describe('a backup to the owner’s key', () => {
	const [ours, theirs] = ['o', 't'].map((letter) => Buffer.alloc(32, letter).toString('base64url'));
	const PIN_HASH = 'what was kept of a PIN';
	/** The shop with one PIN and one second factor, under a key of its machine's. */
	const withSecrets = async (key: string, work: () => Promise<void>) => {
		vi.stubEnv('ZINC_KEY', key);
		const { id } = await shop.db.selectFrom('person').select('id').executeTakeFirstOrThrow();
		await shop.db
			.insertInto('sign_in')
			.values({ person_id: id, user_name: 'rt', role: 'owner', password: 'x', pin: PIN_HASH })
			.execute();
		await setSecondFactor(shop.db, id, 'A'.repeat(32));
		// The PIN was kept in clear by an earlier release.
		await encryptClear(shop.db);
		try {
			await work();
		} finally {
			await shop.db.deleteFrom('sign_in').execute();
			vi.unstubAllEnvs();
		}
	};
	const keptIn = (of: TestDatabase) =>
		of.db.selectFrom('sign_in').select(['pin', 'second_factor']).executeTakeFirstOrThrow();

	it('opens with the private half alone, which is nowhere on the machine', async () => {
		const { key, recipient } = await newPair();
		const sealed = join(folder, 'owner.backup');
		await withSecrets(ours!, async () => {
			await backUp(shop.url, sealed, { recipients: [recipient] });
			await expect(checkBackup(sealed, {})).rejects.toThrow('to the owner’s key');
			await expect(checkBackup(sealed, { key: (await newPair()).key })).rejects.toThrow(
				'does not open'
			);
			// On another machine: its PINs and second factors are brought under that machine's key.
			vi.stubEnv('ZINC_KEY', theirs!);
			await into(async (empty) => {
				const restored = await restore(sealed, empty.url, { key });
				expect(restored).toMatchObject({
					unopened: { pin: 0, second_factor: 0 },
					signsAnew: false
				});
				const kept = await keptIn(empty);
				expect(decrypt(kept.pin!)).toBe(PIN_HASH);
				expect(decrypt(kept.second_factor!)).toBe('A'.repeat(32));
				expect(decrypt(kept.pin!, ours)).toBeNull();
			});
		});
	});
	it('is what the nightly one is, and that one is read back all the same', async () => {
		const { key, recipient } = await newPair();
		vi.stubEnv('ZINC_BACKUP_RECIPIENT', recipient);
		const made = await backUpNightly(shop.url, join(folder, 'nightly-owner'));
		vi.unstubAllEnvs();
		expect(await lockOf(made)).toBe('key');
		expect((await checkBackup(made, { key })).contents.rows.job).toBeGreaterThan(10);
	});
	it('a plain one gives neither PIN nor second factor away, and says that they are gone elsewhere', async () => {
		const plain = join(folder, 'plain.backup');
		await withSecrets(ours!, async () => {
			const kept = await keptIn(shop);
			expect([kept.pin, kept.second_factor].every((one) => one!.startsWith('encrypted:'))).toBe(
				true
			);
			await backUp(shop.url, plain, null);
			expect((await readBackup(plain)).contents.key).toBeUndefined();
			await into(async (empty) => {
				const restored = await restore(plain, empty.url);
				expect(restored).toMatchObject({ unopened: { pin: 0, second_factor: 0 }, signsAnew: true });
			});
			vi.stubEnv('ZINC_KEY', theirs!);
			await into(async (empty) => {
				const { unopened } = await restore(plain, empty.url);
				expect(unopened).toEqual({ pin: 1, second_factor: 1 });
				expect(await keptIn(empty)).toEqual({ pin: null, second_factor: null });
			});
		});
	});
});

describe('a shop that was restored', () => {
	it('is of another epoch than before, by which browsers see it', async () => {
		const epochOf = async ({ db }: TestDatabase) =>
			(await db.selectFrom('shop').select('epoch').executeTakeFirst())?.epoch;
		await sql`insert into shop (mode) values ('own')`.execute(shop.db);
		const own = join(folder, 'own.backup');
		await backUp(shop.url, own);
		await into(async (empty) => {
			await restore(own, empty.url);
			expect(await epochOf(empty)).toMatch(/^[0-9a-f-]{36}$/);
			expect(await epochOf(empty)).not.toBe(await epochOf(shop));
		});
		await sql`delete from shop`.execute(shop.db);
	});
	it('has nobody signed in, and says in its trail that it was', async () => {
		await into(async (empty) => {
			await restore(file, empty.url);
			const person = await empty.db.selectFrom('person').select('id').executeTakeFirstOrThrow();
			await empty.db
				.insertInto('session')
				.values({ key: 'k', opened_by: person.id, at_bench: false })
				.execute();
			await forgetSignedIn(empty.url);
			expect(await empty.db.selectFrom('session').select('key').execute()).toEqual([]);
			const trail = await empty.db.selectFrom('audit').select('what').execute();
			expect(trail.map(({ what }) => what)).toContain('restored');
		});
	});
});
