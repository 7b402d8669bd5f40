/** The shop's gauges, and what they were checked against. */
import { sql } from 'kysely';
import {
	pooled,
	siOf,
	type Gauge,
	type GaugeCheck,
	type Person,
	type Quantity
} from '@zinc-ledger/core';
import type { KnownGauge } from '$lib/parts/gauges/known';
import type { Database } from '../database/connection';

const json = (value: unknown) => JSON.stringify(value);

export async function listGauges(db: Database): Promise<KnownGauge[]> {
	const [gauges, checks] = await Promise.all([
		db
			.selectFrom('gauge')
			.select('doc')
			.orderBy(sql`doc ->> 'name'`)
			.execute(),
		db.selectFrom('gauge_check').select('doc').orderBy('at').execute()
	]);
	return gauges.map(({ doc }) => ({
		gauge: doc,
		checks: checks.map((check) => check.doc).filter((check) => check.gauge === doc.id)
	}));
}

/** The newest repeats of a gauge that count: enough to know it by, few enough to ask for at once. */
const NEWEST_REPEATS = 400;

/** The shop's gauges with how each repeats, pooled over its own repeats on all jobs. */
export async function listGaugesWithRepeats(db: Database): Promise<KnownGauge[]> {
	const gauges = await listGauges(db);
	return Promise.all(
		gauges.map(async (known) => ({ ...known, repeats: await repeatsOf(db, known.gauge.id) }))
	);
}

async function repeatsOf(db: Database, gauge: string): Promise<KnownGauge['repeats']> {
	const rows = await db
		.selectFrom('reading')
		.select(['quantity', 'read', 'set_id'])
		.where(sql<string>`gauge ->> 'id'`, '=', gauge)
		.where('set_id', 'is not', null)
		.where(({ not, exists, selectFrom }) =>
			not(exists(selectFrom('reading_void').select('id').whereRef('reading_id', '=', 'reading.id')))
		)
		.orderBy('position', 'desc')
		.limit(NEWEST_REPEATS)
		.execute();
	const sets = new Map<Quantity, Map<string, number[]>>();
	for (const { quantity, read, set_id } of rows) {
		const own = sets.get(quantity) ?? new Map<string, number[]>();
		sets.set(quantity, own.set(set_id!, [...(own.get(set_id!) ?? []), siOf(read)]));
	}
	return Object.fromEntries(
		[...sets].flatMap(([quantity, own]) => {
			const known = pooled([...own.values()]);
			return known ? [[quantity, known]] : [];
		})
	);
}

export async function findGauge(
	db: Database,
	id: string
): Promise<(KnownGauge & { readonly revision: number }) | null> {
	const row = await db
		.selectFrom('gauge')
		.select(['doc', 'revision'])
		.where('id', '=', id)
		.executeTakeFirst();
	if (!row) return null;
	const checks = await db
		.selectFrom('gauge_check')
		.select('doc')
		.where('gauge_id', '=', id)
		.orderBy('at')
		.execute();
	return { gauge: row.doc, revision: row.revision, checks: checks.map(({ doc }) => doc) };
}

/**
 * Keeps a gauge as it is now: a new one, or in place of what it was at the revision named.
 *
 * @returns false where somebody else was first
 */
export async function saveGauge(
	db: Database,
	gauge: Gauge,
	revision: number | null = null,
	by?: Person
): Promise<boolean> {
	const changed = { doc: json(gauge), changed_by: by?.id ?? null };
	if (revision === null) {
		await db
			.insertInto('gauge')
			.values({ id: gauge.id, ...changed })
			.execute();
		return true;
	}
	const { numUpdatedRows } = await db
		.updateTable('gauge')
		.set({ ...changed, revision: revision + 1 })
		.where('id', '=', gauge.id)
		.where('revision', '=', revision)
		.executeTakeFirst();
	return numUpdatedRows > 0n;
}

/** Writes a check down; the same id twice is harmless. */
export const insertCheck = (db: Database, check: GaugeCheck) =>
	db
		.insertInto('gauge_check')
		.values({
			id: check.id,
			gauge_id: check.gauge,
			doc: json(check),
			person_id: check.person,
			at: new Date(check.at)
		})
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();
