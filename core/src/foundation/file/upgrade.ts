/** What earlier versions of files called things, by the names of now. */
import { fieldSince1, fromVersion1, valueSince1 } from './version-1.ts';
import { fieldSince2, fromVersion2, valueSince2 } from './version-2.ts';

/** The name that a field of any version has now. */
export const fieldNow = (field: string): string => fieldSince2(fieldSince1(field));

/** A value of any version that stands in a field, by the field's name of now. */
export function valueNow(field: string, value: string): string {
	const before = field === 'type' ? valueSince1('sort', value) : value;
	return valueSince2(field, valueSince1(field, before));
}

/** A value of any version, and all that stands in it, as the newest version has it. */
export const upgraded = <T>(value: T, field = ''): T =>
	fromVersion2(fromVersion1(value, field), fieldNow(field));

/** The step that makes a file of each older version one of the version after it. */
export const UPGRADES = { 1: fromVersion1, 2: fromVersion2 } as const;
