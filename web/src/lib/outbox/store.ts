import { openDB, type DBSchema } from 'idb';
import type { Reading } from '@zinc-ledger/core';

/** A reading on its way to the server. */
export interface Waiting {
	readonly jobId: string;
	readonly reading: Reading;
	/** Why the server would not have it; such a reading is shown and not sent again. */
	readonly refused?: string;
}

interface Schema extends DBSchema {
	waiting: { key: string; value: Waiting };
}

const open = () =>
	openDB<Schema>('zinc-ledger', 1, {
		upgrade: (db) => void db.createObjectStore('waiting', { keyPath: 'reading.id' })
	});

/** The outbox as the browser keeps it on disk, in the order the readings were taken. */
export const store = {
	all: async (): Promise<Waiting[]> => (await open()).getAll('waiting'),
	put: async (waiting: Waiting): Promise<void> =>
		void (await (await open()).put('waiting', waiting)),
	remove: async (id: string): Promise<void> => (await open()).delete('waiting', id)
};
