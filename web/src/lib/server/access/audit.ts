/** The shop's trail: who signed in, changed a role, took something out, shared or restored. */
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import type { AuditedAct } from '@zinc-ledger/core';
import type { AuditAbout } from '$lib/access/audited';
import type { Database } from '../database/connection';

export interface Act {
	readonly what: AuditedAct;
	readonly person?: string | undefined;
	readonly about?: AuditAbout;
	readonly address?: string | undefined;
}

/** Notes an act; nothing notes it differently afterwards. */
export async function note(db: Database, act: Act): Promise<void> {
	const { what, person = null, about = {}, address = null } = act;
	await db
		.insertInto('audit')
		.values({ id: uuid(), what, person_id: person, about: JSON.stringify(about), address })
		.execute();
}

export interface Noted {
	readonly what: AuditedAct;
	readonly who: string | null;
	readonly whom: string | null;
	readonly about: AuditAbout;
	readonly address: string | null;
	readonly at: string;
	readonly position: string;
}

/** Acts, newest first, a page at a time. @param before position of the last one seen */
export async function listNoted(
	db: Database,
	before: string | null,
	most: number
): Promise<Noted[]> {
	const whom = sql<string | null>`(select name from person where id::text = about->>'whom')`;
	let acts = db
		.selectFrom('audit')
		.leftJoin('person', 'person.id', 'audit.person_id')
		.select(['what', 'person.name as who', 'about', 'address', 'at', 'position'])
		.select(whom.as('whom'))
		.orderBy('position', 'desc')
		.limit(most);
	if (before) acts = acts.where('position', '<', before);
	return (await acts.execute()).map((row) => ({ ...row, at: row.at.toISOString() }));
}
