/** The lists of a job document that are only ever added to. */

/** Lists whose entries are kept whole, as they come, each with a person and a time. */
export const ENTRY_LISTS = [
	'inspections',
	'headWork',
	'acceptances',
	'plans',
	'assembly',
	'checks',
	'notes',
	'asFound',
	'motions',
	'since',
	'looks',
	'trials'
] as const;
export type EntryList = (typeof ENTRY_LISTS)[number];

/** All lists of a job that are only ever added to. */
export const HISTORY = ['readings', 'voids', 'decisions', ...ENTRY_LISTS] as const;

type Entries = Record<(typeof HISTORY)[number], readonly unknown[]>;

/** How many entries a job has in all: whatever is changed on it adds to them. */
export const entryCount = (job: Entries): number =>
	HISTORY.reduce((sum, list) => sum + job[list].length, 0);
