/** Keeps what is asked about a job near to the job: after a change, and for what was never derived. */
import { database } from '../database';
import type { Database } from '../database/connection';
import { deriveJobs } from './of-job';
import { deriveMissing } from './rebuild';
import { loggingFailures } from './logging-failures';

/** Changes within this many milliseconds are looked at together. */
const TOGETHER = 1000;
/** Between two documents of what was never derived: work at the benches goes first. */
const PAUSE = 25;

const waiting = new Set<string>();
let timer: ReturnType<typeof setTimeout> | undefined;

/** Looks at a job again once its change is kept. What is missed here is made when it is listed. */
export function deriveSoon(jobId: string): void {
	waiting.add(jobId);
	timer ??= setTimeout(() => {
		const ids = [...waiting];
		waiting.clear();
		timer = undefined;
		void loggingFailures(async () => deriveJobs(await database(), ids));
	}, TOGETHER).unref();
}

/** Makes what the release before did not know of, while the server serves. */
export const deriveMissingGently = (db: Database): Promise<void> =>
	loggingFailures(() =>
		deriveMissing(db, () => new Promise((later) => setTimeout(later, PAUSE).unref()))
	);
