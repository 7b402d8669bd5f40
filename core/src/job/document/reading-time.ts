/**
 * When a reading was taken. A bench's clock may be wrong, and a reading may arrive
 * hours after it was typed; neither is a reason to refuse it (docs/trade/job.md#head-work).
 */
import type { Decision, Reading } from './schema.ts';

/**
 * The time a reading is taken to be of, in milliseconds: as claimed, less what its
 * browser's clock was ahead by, and never after it had arrived.
 */
export function readingTime({ at, clock }: Pick<Reading, 'at' | 'clock'>): number {
	const claimed = Date.parse(at) - 1000 * (clock?.ahead ?? 0);
	return clock ? Math.min(claimed, Date.parse(clock.arrived)) : claimed;
}

/** Clocks further off than this, in seconds, may have been off by something else when it was typed. */
const FAR_OFF = 12 * 3600;
/** Nearer to the work than this, in milliseconds, the order of the two is anybody's guess. */
const TOO_NEAR = 5 * 60_000;

/**
 * Whether it is open if a reading was taken before a work on the head or after
 * it: it arrived after the work, claims to be from before it, and its clock does
 * not settle the matter.
 *
 * @param done when the work was done, in milliseconds
 */
export function isOrderOpen(reading: Reading, done: number): boolean {
	const { clock } = reading;
	if (!clock || Date.parse(clock.arrived) <= done) return false;
	const taken = readingTime(reading);
	if (taken > done) return false;
	return clock.ahead === undefined || Math.abs(clock.ahead) > FAR_OFF || done - taken < TOO_NEAR;
}

/** What a decision is about that says whether a reading came before or after a work. */
export const orderSubject = (reading: string, work: string) => `readings.${reading}.after.${work}`;

/** Answers so far: by subject, true where the reading came after the work. */
export const orderAnswers = (decisions: readonly Decision[]): ReadonlyMap<string, boolean> =>
	new Map(
		decisions.flatMap(({ subject, to }) =>
			subject.startsWith('readings.') && typeof to === 'boolean' ? [[subject, to] as const] : []
		)
	);
