/** Who works here, and the units each of them reads. */
import { v7 as uuid } from 'uuid';
import { INCH_POUND, type Person, type Units } from '@zinc-ledger/core';
import type { Database } from './database/connection';

export interface Known {
	readonly person: Person;
	readonly units: Units;
}

export const listPeople = (db: Database): Promise<Person[]> =>
	db.selectFrom('person').select(['id', 'name', 'initials']).orderBy('initials').execute();

export async function findPerson(db: Database, id: string): Promise<Known | null> {
	const row = await db.selectFrom('person').selectAll().where('id', '=', id).executeTakeFirst();
	if (!row) return null;
	return {
		person: { id: row.id, name: row.name, initials: row.initials },
		units: {
			length: row.length_unit ?? INCH_POUND.length,
			load: row.load_unit ?? INCH_POUND.load
		}
	};
}

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

export const setUnits = (db: Database, id: string, units: Units) =>
	db
		.updateTable('person')
		.set({ length_unit: units.length, load_unit: units.load })
		.where('id', '=', id)
		.execute();
