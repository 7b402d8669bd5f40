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
	'trials',
	'outcomes'
] as const;
export type EntryList = (typeof ENTRY_LISTS)[number];

/** All lists of a job that are only ever added to. */
export const HISTORY = ['readings', 'voids', 'decisions', ...ENTRY_LISTS] as const;

type Entries = Record<(typeof HISTORY)[number], readonly unknown[]>;

/** What a case proved to be is often known only after the sheet is signed, and changes nothing on it. */
const ON_THE_SHEET = HISTORY.filter((list) => list !== 'outcomes');

/** How many entries a job has in all: whatever is changed on its sheet adds to them. */
export const entryCount = (job: Entries): number =>
	ON_THE_SHEET.reduce((sum, list) => sum + job[list].length, 0);
