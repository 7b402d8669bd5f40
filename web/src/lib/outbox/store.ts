import { openDB, type DBSchema } from 'idb';
import { upgraded, type Reading, type Sweep } from '@zinc-ledger/core';

/** A reading on its way to the server. */
export interface Waiting {
	readonly jobId: string;
	readonly reading: Reading;
	/** Why the server would not have it; such a reading is shown and not sent again. */
	readonly refused?: string;
	/** The server had it before it was restored from a backup. */
	readonly again?: true;
}

/** A sweep on its way to the server. */
export interface WaitingSweep {
	readonly setId: string;
	readonly sweep: Sweep;
	/** Who took it; unknown where it waited since an earlier release. */
	readonly by?: string;
	readonly again?: true;
}

/** Something that the server has said it has, kept for as long as a restore may yet lose it. */
export type Sent = (
	| { readonly of: 'reading'; readonly item: Waiting }
	| { readonly of: 'sweep'; readonly item: WaitingSweep }
) & {
	readonly id: string;
	/** When it was sent, in ms since 1970. */
	readonly at: number;
	/** Of the database that took it; null where nobody said. */
	readonly epoch: string | null;
};

/** How long a browser keeps what it sent, in ms. */
const KEPT_FOR = 7 * 24 * 3600 * 1000;

interface Schema extends DBSchema {
	waiting: { key: string; value: Waiting };
	sweeps: { key: string; value: WaitingSweep };
	sent: { key: string; value: Sent; indexes: { at: number } };
}

const open = () =>
	openDB<Schema>('zinc-ledger', 3, {
		upgrade: (db, from) => {
			if (from < 1) db.createObjectStore('waiting', { keyPath: 'reading.id' });
			if (from < 2) db.createObjectStore('sweeps', { keyPath: 'sweep.id' });
			db.createObjectStore('sent', { keyPath: 'id' }).createIndex('at', 'at');
		}
	});

/** Sweeps that are not yet known to be stored. */
export const sweepStore = {
	all: async (): Promise<WaitingSweep[]> => (await open()).getAll('sweeps'),
	put: async (waiting: WaitingSweep): Promise<void> =>
		void (await (await open()).put('sweeps', waiting))
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

/** What was sent within the last days. */
export const sentStore = {
	/** Moves what was sent out of what waits, and lets go of what is old. */
	put: async (all: readonly Sent[], now = Date.now()): Promise<void> => {
		const moved = (await open()).transaction(['waiting', 'sweeps', 'sent'], 'readwrite');
		const sent = moved.objectStore('sent');
		for (const one of all) {
			void moved.objectStore(one.of === 'reading' ? 'waiting' : 'sweeps').delete(one.id);
			void sent.put(one);
		}
		const old = await sent.index('at').getAllKeys(IDBKeyRange.upperBound(now - KEPT_FOR));
		for (const key of old) void sent.delete(key);
		await moved.done;
	},
	/** Moves what a database of another epoch took back to what waits, marked as offered again. */
	offerAgain: async (
		epoch: string,
		now = Date.now()
	): Promise<{
		readonly readings: readonly Waiting[];
		readonly sweeps: readonly WaitingSweep[];
	}> => {
		const moved = (await open()).transaction(['waiting', 'sweeps', 'sent'], 'readwrite');
		const sent = moved.objectStore('sent');
		const young = await sent.index('at').getAll(IDBKeyRange.lowerBound(now - KEPT_FOR));
		const lost = young.filter((one) => one.epoch !== epoch);
		const again = { again: true } as const;
		const readings = lost.flatMap((one) =>
			one.of === 'reading' ? [{ ...one.item, ...again }] : []
		);
		const sweeps = lost.flatMap((one) => (one.of === 'sweep' ? [{ ...one.item, ...again }] : []));
		for (const one of readings) void moved.objectStore('waiting').put(one);
		for (const one of sweeps) void moved.objectStore('sweeps').put(one);
		for (const { id } of lost) void sent.delete(id);
		await moved.done;
		return { readings, sweeps };
	}
};
