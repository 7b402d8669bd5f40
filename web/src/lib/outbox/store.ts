import { openDB, type DBSchema } from 'idb';
import { upgraded, type Reading, type Sweep } from '@zinc-ledger/core';

/** A reading on its way to the server. */
export interface Waiting {
	readonly jobId: string;
	readonly reading: Reading;
	/** Why the server would not have it; such a reading is shown and not sent again. */
	readonly refused?: string;
}

/** A sweep on its way to the server. */
export interface WaitingSweep {
	readonly setId: string;
	readonly sweep: Sweep;
	/** Who took it; unknown where it waited since an earlier release. */
	readonly by?: string;
}

interface Schema extends DBSchema {
	waiting: { key: string; value: Waiting };
	sweeps: { key: string; value: WaitingSweep };
}

const open = () =>
	openDB<Schema>('zinc-ledger', 2, {
		upgrade: (db, from) => {
			if (from < 1) db.createObjectStore('waiting', { keyPath: 'reading.id' });
			db.createObjectStore('sweeps', { keyPath: 'sweep.id' });
		}
	});

/** Sweeps that are not yet known to be stored. */
export const sweepStore = {
	all: async (): Promise<WaitingSweep[]> => (await open()).getAll('sweeps'),
	put: async (waiting: WaitingSweep): Promise<void> =>
		void (await (await open()).put('sweeps', waiting)),
	remove: async (id: string): Promise<void> => (await open()).delete('sweeps', id)
};

/** What waited since an earlier release, as this one has it. */
export const waitingNow = (waiting: Waiting): Waiting => ({
	...waiting,
	reading: upgraded(waiting.reading)
});

/** The outbox as the browser keeps it on disk, in the order the readings were taken. */
export const store = {
	all: async (): Promise<Waiting[]> => (await (await open()).getAll('waiting')).map(waitingNow),
	put: async (waiting: Waiting): Promise<void> =>
		void (await (await open()).put('waiting', waiting)),
	remove: async (id: string): Promise<void> => (await open()).delete('waiting', id)
};
