/** Earlier versions of files in the current names and codes. */
import { fieldSince1, fromVersion1, valueSince1 } from './version-1.ts';
import { fieldSince2, fromVersion2, valueSince2 } from './version-2.ts';

/** The current name of a field, whatever version named it. */
export const fieldNow = (field: string): string => fieldSince2(fieldSince1(field));

/**
 * The current code of a value.
 *
 * @param field the current name of the field that holds it
 * @param value a code, or a word of version 1; anything else is returned unchanged
 */
export function valueNow(field: string, value: string): string {
	const before = field === 'type' ? valueSince1('sort', value) : value;
	return valueSince2(field, valueSince1(field, before));
}

/**
 * A document or part of one in the current names and codes; a current one is returned unchanged.
 *
 * @param field the name of the field or list that holds it, where it is only part of a document
 */
export const upgraded = <T>(value: T, field = ''): T =>
	fromVersion2(fromVersion1(value, field), fieldNow(field));

/** By version, the step from a file of that version to the next. */
export const UPGRADES = { 1: fromVersion1, 2: fromVersion2 } as const;
