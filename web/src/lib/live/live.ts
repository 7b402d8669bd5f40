import type { Reading } from '@zinc-ledger/core';
import { listenWhileShown } from './source';

interface Hears {
	/** Readings that somebody stored. */
	readonly readings: (readings: readonly Reading[]) => void;
	/** Something else changed, or may have while the line was down: ask for the job anew. */
	readonly changed: () => void;
	/** The line is open, for the first time or again. */
	readonly opened?: () => void;
}

/** Changes close together are asked after once. */
const SETTLED = 250;

/** Listens to what others do on a job. @returns the function that ends it */
export function listenToJob(jobId: string, hears: Hears): () => void {
	let settle: ReturnType<typeof setTimeout> | undefined;
	const changed = () => {
		clearTimeout(settle);
		settle = setTimeout(hears.changed, SETTLED);
	};
	const leave = listenWhileShown(`job:${jobId}`, {
		// What went by since the page was loaded, or while the line was down, is asked for.
		opened: () => {
			changed();
			hears.opened?.();
		},
		message: (text) => {
			const news = JSON.parse(text) as { readings: Reading[]; changed: boolean };
			if (news.readings.length > 0) hears.readings(news.readings);
			if (news.changed) changed();
		}
	});
	return () => {
		clearTimeout(settle);
		leave();
	};
}
