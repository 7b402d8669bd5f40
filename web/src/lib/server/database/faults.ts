/** What an error of the database means, and what those of another kind are told as. */
import { isDatabaseAway } from './connection';

export type Fault =
	| 'away'
	/** There is no room on the disk. */
	| 'full'
	/** A value that no column takes: half a sign, a year out of all bounds, an id that is none. */
	| 'unfit'
	/** Something is there already under this name or id. */
	| 'taken'
	/** It names something that is not there. */
	| 'unknown';

/** The type of fault that a database tells; null for a mistake of the program. */
export function faultOf(failure: unknown): Fault | null {
	if (isDatabaseAway(failure)) return 'away';
	const code = codeOf(failure);
	if (code === '53100' || code === 'ENOSPC') return 'full';
	if (code.startsWith('22')) return 'unfit';
	if (code === '23505') return 'taken';
	if (code === '23503') return 'unknown';
	return null;
}

/** Two who waited for each other, or overtook each other: begun again, it goes through. */
export const isToBeTriedAgain = (failure: unknown) => /^40(P01|001)$/.test(codeOf(failure));

const codeOf = (failure: unknown): string => {
	const { code } = (failure ?? {}) as { code?: unknown };
	return typeof code === 'string' ? code : '';
};
