/**
 * From version 2 of files to version 3: the discriminator of a union is called `type`, bounds are `min`
 * and `max`, and rules of fit have named codes instead of numbers. Figures, times, people and free text
 * are not changed.
 */
type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

const FIELDS: Readonly<Record<string, string>> = { sort: 'type', least: 'min', most: 'max' };

/** Codes of the rules of fit, by their numbers in version 2. */
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

/** Message codes that contained a rule's number. */
const CODES: Readonly<Record<string, string>> = {
	'fit.captive-see-f8': 'fit.captive-tip-length'
};

/** The name in version 3 of a field of version 2. */
export const fieldSince2 = (field: string): string => FIELDS[field] ?? field;

/** The code in version 3 of a value of version 2; `field` is the version 3 name of the field that holds it. */
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

/** A document of version 2, or part of one, in the names and codes of version 3. */
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
