/** What the shop decides for its jobs: the usual limits and choices, and what it changed of them. */
import { v7 as uuid } from 'uuid';
import type { LengthUnit, Person, Setup } from '@zinc-ledger/core';
import { setupWith } from '$lib/job/setup/shop';
import type { Database } from './database/connection';
import { WEIGHED } from './visits/likelihoods';

/** One change of the shop's own limits; `to` is empty where the usual one was taken back. */
export interface LimitChange {
	readonly field: string;
	readonly from: string | null;
	readonly to: string;
	readonly person: string;
	readonly at: string;
}

/** Every change, newest first. */
export async function limitChanges(db: Database): Promise<LimitChange[]> {
	const rows = await db
		.selectFrom('shop_limit')
		.innerJoin('person', 'person.id', 'shop_limit.person_id')
		.select(['field', 'from', 'to', 'person.name as person', 'at'])
		.where('field', 'not like', `${WEIGHED}%`)
		.orderBy('position', 'desc')
		.execute();
	return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

/** The shop's own limits by field, as texts: the newest of each. */
export async function ownLimits(db: Database): Promise<Record<string, string>> {
	const own: Record<string, string> = {};
	for (const { field, to } of (await limitChanges(db)).toReversed()) own[field] = to;
	return Object.fromEntries(Object.entries(own).filter(([, text]) => text !== ''));
}

/** The set-up that a new job starts with. */
export const shopSetup = async (db: Database, unit: LengthUnit): Promise<Setup> =>
	setupWith(unit, await ownLimits(db));

/** Notes what somebody changed of the shop's limits. */
export async function changeLimits(
	db: Database,
	changes: readonly { field: string; from: string | null; to: string }[],
	by: Person
): Promise<void> {
	if (changes.length === 0) return;
	await db
		.insertInto('shop_limit')
		.values(changes.map((change) => ({ id: uuid(), ...change, person_id: by.id })))
		.execute();
}
