/** Kits of the shop's library, and the parts they are made of. */
import { partIdsOf, type Kit, type LibraryPart, type Person } from '@zinc-ledger/core';
import type { KitsAndParts } from '@zinc-ledger/core/kits';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { findKept, listKept, saveKept } from '../kept';
import { keepParts, partsOfIds } from './parts';

/** Parts by their ids. */
export type PartsById = ReadonlyMap<string, LibraryPart>;

/** The parts that some kits are made of. */
export const partsOfKits = async (db: Database, kits: readonly Kit[]): Promise<PartsById> =>
	partsOfIds(db, [...new Set(kits.flatMap(partIdsOf))]);

/** Kits that are offered, with their parts. */
export async function kitsOffered(db: Database): Promise<{ kits: Kit[]; parts: PartsById }> {
	const kits = (await listKept(db, 'kit')).flatMap(({ doc, retired }) => (retired ? [] : [doc]));
	return { kits, parts: await partsOfKits(db, kits) };
}

/** A kit with its parts; null where there is none. */
export async function kitWithParts(
	db: Database,
	id: string
): Promise<{ kit: Kit; parts: PartsById } | null> {
	const kept = await findKept(db, 'kit', id);
	return kept && { kit: kept.doc, parts: await partsOfKits(db, [kept.doc]) };
}

/** Takes kits in whole: parts that are new here join the library, a kit replaces the one with its id. */
export const importKits = (
	db: Database,
	{ kits, parts }: KitsAndParts,
	by: Person | null
): Promise<void> =>
	inTransaction(db, async (trx) => {
		await keepParts(trx, parts, by ?? undefined);
		for (const kit of kits) await saveKept(trx, 'kit', kit, null, by);
	});
