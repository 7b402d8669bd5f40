/** Choices that shops make differently (docs/trade/job.md#shop-choices), and what notes may be about (docs/trade/assembly.md). */

/** Where practitioners disagree, with the more careful choice first: it stands where a job says nothing. */
export const POLICIES = {
	/** Whether a flat damper stays in its spring. */
	damper: ['kept', 'removed'],
	/** Springs that have run go in again never, or after they were tested. */
	usedSprings: ['never', 'retested'],
	locks: ['new-only', 'inspected-and-reused'],
	/** Every valve is measured, or a sample of them. */
	measuring: ['every-valve', 'sample'],
	/** A plan tells where springs lose their valves, or plans no such build. */
	control: ['told', 'kept']
} as const;

/** A head laid aside half way carries a hand-over; dropped and damaged parts are noted at their station. */
export const NOTE_SUBJECTS = [
	'hand-over',
	'dropped-part',
	'damaged-part',
	'flow-figures',
	/** Why nobody read the lash as it was found. */
	'lash-not-found'
] as const;

/** Things that may go back in after they have run. */
export const REUSABLE = ['spring', 'retainer', 'locks', 'seal', 'lashCap'] as const;
