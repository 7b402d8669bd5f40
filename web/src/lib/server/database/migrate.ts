import { Migrator, sql, type Kysely } from 'kysely';
import type { Tables } from './schema';
import * as firstSlice from './migrations/0001-first-slice';
import * as parts from './migrations/0002-parts';
import * as springBench from './migrations/0003-spring-bench';
import * as rounds from './migrations/0004-rounds';
import * as assembly from './migrations/0005-assembly';
import * as signedEntries from './migrations/0006-signed-entries';
import * as rightFigures from './migrations/0007-right-figures';
import * as nothingLost from './migrations/0008-nothing-lost';
import * as stableCodes from './migrations/0009-stable-codes';
import * as whatIsAsked from './migrations/0010-what-is-asked';
import * as anythingFound from './migrations/0011-anything-found';
import * as shortWayIn from './migrations/0012-short-way-in';
import * as asFound from './migrations/0013-as-found';
import * as setBuild from './migrations/0014-set-build';
import * as motions from './migrations/0015-motions';
import * as visits from './migrations/0016-visits';
import * as photosOfMarks from './migrations/0017-photos-of-marks';
import * as signIn from './migrations/0018-sign-in';
import * as secondFactor from './migrations/0019-second-factor';
import * as shopKey from './migrations/0020-shop-key';
import * as importedBy from './migrations/0021-imported-by';
import * as afterRestore from './migrations/0022-after-restore';
import * as standardNames from './migrations/0023-standard-names';
import * as outcomes from './migrations/0024-outcomes';
import * as byPhone from './migrations/0025-by-phone';

const MIGRATIONS = {
	'0001-first-slice': firstSlice,
	'0002-parts': parts,
	'0003-spring-bench': springBench,
	'0004-rounds': rounds,
	'0005-assembly': assembly,
	'0006-signed-entries': signedEntries,
	'0007-right-figures': rightFigures,
	'0008-nothing-lost': nothingLost,
	'0009-stable-codes': stableCodes,
	'0010-what-is-asked': whatIsAsked,
	'0011-anything-found': anythingFound,
	'0012-short-way-in': shortWayIn,
	'0013-as-found': asFound,
	'0014-set-build': setBuild,
	'0015-motions': motions,
	'0016-visits': visits,
	'0017-photos-of-marks': photosOfMarks,
	'0018-sign-in': signIn,
	'0019-second-factor': secondFactor,
	'0020-shop-key': shopKey,
	'0021-imported-by': importedBy,
	'0022-after-restore': afterRestore,
	'0023-standard-names': standardNames,
	'0024-outcomes': outcomes,
	'0025-by-phone': byPhone
};

/** Names of all, the oldest first. */
export const migrations: readonly string[] = Object.keys(MIGRATIONS);

/** The newest that a database has; null for one with nothing in it. */
export async function newestMigration(db: Kysely<Tables>): Promise<string | null> {
	const there = await sql<{ is: boolean }>`
		select to_regclass('kysely_migration') is not null as is
	`.execute(db);
	if (!there.rows[0]!.is) return null;
	const { rows } = await sql<{ name: string }>`
		select name from kysely_migration order by name desc limit 1
	`.execute(db);
	return rows[0]?.name ?? null;
}

/**
 * Brings a database up to date, forward only. Kysely's migrator takes an
 * advisory lock first, so that several processes may start at once.
 *
 * @param upTo an earlier state, for testing the way up from it
 */
export async function migrate(db: Kysely<Tables>, upTo?: keyof typeof MIGRATIONS): Promise<void> {
	const migrator = new Migrator({
		db,
		provider: { getMigrations: () => Promise.resolve(MIGRATIONS) }
	});
	const { error } = await (upTo ? migrator.migrateTo(upTo) : migrator.migrateToLatest());
	if (error) throw error instanceof Error ? error : new Error('migration failed', { cause: error });
}
