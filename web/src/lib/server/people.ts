/** Who works here, and the units each of them reads. */
import { v7 as uuid } from 'uuid';
import { z } from 'zod';
import { issue } from '@zinc-ledger/core';
import type { LengthUnit, LoadUnit, Person, Units } from '@zinc-ledger/core';
import type { Database } from './database/connection';

/** Somebody new, as typed in a form. */
export const Newcomer = z.object({
	name: z
		.string()
		.trim()
		.min(1, issue('operator.name'))
		.max(80, issue('field.max', { max: 80, unit: 'characters' })),
	initials: z
		.string()
		.trim()
		.toUpperCase()
		.regex(/^\p{L}{1,4}$/u, issue('operator.initials'))
});

export interface Known {
	readonly person: Person;
	/** Those that were chosen; null where each job is read as it was measured. */
	readonly units: Units | null;
}

export const listPeople = (db: Database): Promise<Person[]> =>
	db.selectFrom('person').select(['id', 'name', 'initials']).orderBy('initials').execute();

export async function findPerson(db: Database, id: string): Promise<Known | null> {
	const row = await db.selectFrom('person').selectAll().where('id', '=', id).executeTakeFirst();
	if (!row) return null;
	return {
		person: { id: row.id, name: row.name, initials: row.initials },
		units: unitsOf(row)
	};
}

interface UnitsRow {
	readonly length_unit: LengthUnit | null;
	readonly load_unit: LoadUnit | null;
}
export const unitsOf = ({ length_unit: length, load_unit: load }: UnitsRow): Units | null =>
	length && load ? { length, load } : null;

/** Adds a person; the same initials twice would make the record ambiguous. */
export async function addPerson(
	db: Database,
	name: string,
	initials: string
): Promise<Person | null> {
	const taken = await db
		.selectFrom('person')
		.select('id')
		.where('initials', '=', initials)
		.executeTakeFirst();
	if (taken) return null;
	const person = { id: uuid(), name, initials };
	// Two who are taken in at once: the index lets the first of them have the initials.
	const fresh = await db
		.insertInto('person')
		.values({ ...person, taken_in_here: true, length_unit: null, load_unit: null })
		.onConflict((conflict) => conflict.doNothing())
		.returning('id')
		.executeTakeFirst();
	return fresh ? person : null;
}

export const setUnits = (db: Database, id: string, units: Units | null) =>
	db
		.updateTable('person')
		.set({ length_unit: units?.length ?? null, load_unit: units?.load ?? null })
		.where('id', '=', id)
		.execute();
