/** The shop's gauges, and what they were checked against. */
import { sql } from 'kysely';
import type { Gauge, GaugeCheck, Person } from '@zinc-ledger/core';
import type { KnownGauge } from '$lib/gauges/known';
import type { Database } from './database/connection';

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

export async function findGauge(db: Database, id: string): Promise<KnownGauge | null> {
	const row = await db.selectFrom('gauge').select('doc').where('id', '=', id).executeTakeFirst();
	if (!row) return null;
	const checks = await db
		.selectFrom('gauge_check')
		.select('doc')
		.where('gauge_id', '=', id)
		.orderBy('at')
		.execute();
	return { gauge: row.doc, checks: checks.map(({ doc }) => doc) };
}

export const saveGauge = (db: Database, gauge: Gauge, by?: Person) =>
	db
		.insertInto('gauge')
		.values({ id: gauge.id, doc: json(gauge), changed_by: by?.id ?? null })
		.onConflict((conflict) =>
			conflict.column('id').doUpdateSet({ doc: json(gauge), changed_by: by?.id ?? null })
		)
		.execute();

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
