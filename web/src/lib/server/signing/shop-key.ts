/** The key that this shop signs its sheets with: made with the first sheet, kept for as long as it is there. */
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { sql } from 'kysely';
import type { ShopKey } from '@zinc-ledger/core/signed';
import { newShopKey, shopKey } from '@zinc-ledger/core/signed-node';
import type { Database } from '../database/connection';

/** Public keys that the shop signs with, or did before a backup without its secret was restored; newest first. */
export async function shopKeys(db: Database): Promise<string[]> {
	const rows = await db
		.selectFrom('shop_key')
		.select('public_key')
		.orderBy('made_at', 'desc')
		.execute();
	return rows.map(({ public_key }) => public_key);
}

/** The key to sign with, within a transaction; the first one asked for is made. */
export async function keyToSignWith(trx: Database): Promise<ShopKey> {
	// Two that sign their first sheets at once make one key.
	await sql`lock table shop_key in share row exclusive mode`.execute(trx);
	const kept = await trx
		.selectFrom('shop_key_secret')
		.innerJoin('shop_key', 'shop_key.public_key', 'shop_key_secret.public_key')
		.select(['shop_key.public_key', 'private_key'])
		.orderBy('made_at', 'desc')
		.executeTakeFirst();
	if (kept) return shopKey({ publicKey: kept.public_key, privateKey: kept.private_key });
	const made = newShopKey();
	await trx.insertInto('shop_key').values({ public_key: made.publicKey }).execute();
	await trx
		.insertInto('shop_key_secret')
		.values({ public_key: made.publicKey, private_key: made.privateKey })
		.execute();
	return shopKey(made);
}

/** Lays the public keys where `./zinc verify` finds them, one a line. */
export async function publishKeys(
	db: Database,
	folder = process.env.ZINC_DATA,
	database = process.env.DATABASE_URL
): Promise<void> {
	if (!folder || !database) return;
	const keys = await shopKeys(db);
	const name = `${new URL(database).pathname.slice(1)}.keys`;
	// The folder that the application may write to.
	await writeFile(join(folder, 'app', name), keys.map((key) => `${key}\n`).join(''));
}
