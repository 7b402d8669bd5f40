/**
 * Files of version 2 as files of version 3: what tells the members of a union apart is called
 * `type`, and rules of fit have named codes in place of numbers. Figures, times, persons and
 * whatever somebody wrote stay as they are, to the letter.
 */
type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

const FIELDS: Readonly<Record<string, string>> = { sort: 'type', least: 'min', most: 'max' };

/** Codes of the rules of fit by the numbers that they had. */
const RULES: Readonly<Record<string, string>> = {
	F1: 'stem-diameter',
	F2: 'lock-bead',
	F3: 'lock-angle',
	F4: 'cap-on-wafer',
	F5: 'locks-for-wafer',
	F6: 'titanium-tip',
	F7: 'cap-recess',
	F8: 'captive-locks',
	F9: 'groove-load',
	F10: 'one-maker',
	F11: 'inner-spring-to-seal',
	F12: 'pocket-and-locator',
	F13: 'retainer-landings',
	F14: 'spring-base',
	F15: 'spring-max-lift',
	F16: 'damper-to-seal',
	F17: 'rail-rocker-tip',
	F18: 'lifter-load',
	F19: 'lash-for-lifters',
	F20: 'spring-way-up',
	F21: 'spring-batch',
	F22: 'single-spring',
	F23: 'seat-insert',
	F24: 'shim-fit',
	F25: 'new-seals-and-locks',
	F26: 'ground-retainer',
	F27: 'used-springs',
	F28: 'used-locks',
	F29: 'kit-parts',
	F30: 'tip-above-locks',
	F31: 'lock-taper-load'
};

/** Codes of sentences that named a rule by its number. */
const CODES: Readonly<Record<string, string>> = {
	'fit.captive-see-f8': 'fit.captive-tip-length'
};

/** The name that a field of version 2 has since. */
export const fieldSince2 = (field: string): string => FIELDS[field] ?? field;

/** A value of version 2 that stands in a field, by the field's name of version 3. */
export function valueSince2(field: string, value: string): string {
	if (field === 'code') return CODES[value] ?? value;
	if (field === 'rule') return RULES[value] ?? value;
	if (field === 'finding' || field === 'key') return keySince2(value);
	// Paths in a document: of a decision, and of a policy of the shop.
	if (field === 'subject' || field === 'field') return value.split('.').map(fieldSince2).join('.');
	return value;
}

/** The key of a finding begins with its rule and ends with what was compared: `F10 intake: fit.makers {…}`. */
const keySince2 = (key: string): string =>
	key
		.replace(/^F\d+(?= )/, (rule) => RULES[rule] ?? rule)
		.replace(/"(sort|least|most)":/g, (_, field: string) => `"${fieldSince2(field)}":`);

/** A value of version 2, and all that stands in it, as version 3 has it. */
export const fromVersion2 = <T>(value: T, field = ''): T => walked(value as Json, field) as T;

function walked(value: Json, field: string): Json {
	if (typeof value === 'string') return valueSince2(field, value);
	if (Array.isArray(value)) return value.map((one) => walked(one, field));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value).map(([key, inner]) => {
			const now = fieldSince2(key);
			return [now, walked(inner, now)];
		})
	);
}
