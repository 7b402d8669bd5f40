/** What stood at a station when it came apart, as the texts of its form. */
import {
	message,
	readEntry,
	readSignedEntry,
	type AsFound,
	type LengthUnit,
	type Message
} from '@zinc-ledger/core';

export interface FoundTexts {
	shims: string;
	locator: string;
	lockOffset: string;
	lashCap: 'yes' | 'no' | null;
	damper: 'yes' | 'no' | null;
	seal: NonNullable<AsFound['seal']> | null;
	put: string;
	note: string;
}
export const NOTHING: FoundTexts = {
	shims: '',
	locator: '',
	lockOffset: '',
	lashCap: null,
	damper: null,
	seal: null,
	put: '',
	note: ''
};

/** What was kept of a station, for its form. */
export const textsOf = (found: AsFound): FoundTexts => ({
	shims: found.shims.join(' + '),
	locator: found.locator ?? '',
	lockOffset: found.lockOffset ?? '',
	lashCap: yesNo(found.lashCap),
	damper: yesNo(found.damper),
	seal: found.seal ?? null,
	put: found.put ?? '',
	note: found.note ?? ''
});
const yesNo = (is: boolean | undefined) => (is === undefined ? null : is ? 'yes' : 'no');

type Read =
	| { readonly ok: true; readonly found: Omit<AsFound, 'id' | 'station' | 'person' | 'at'> }
	| { readonly ok: false; readonly problems: Partial<Record<keyof FoundTexts, Message>> };

/** What the texts stand for; an empty field is not known, but for the shims: none are none. */
export function readFound(texts: FoundTexts, unit: LengthUnit): Read {
	const problems: Partial<Record<keyof FoundTexts, Message>> = {};
	const lengthIn = (field: 'locator' | 'lockOffset', read: typeof readEntry) => {
		if (texts[field].trim() === '') return undefined;
		const entry = read(texts[field], unit);
		if (entry.ok) return entry.text;
		problems[field] = entry.problem;
		return undefined;
	};
	const shims = texts.shims
		.split(/[+;]/)
		.map((one) => one.trim())
		.filter(Boolean)
		.map((one) => readEntry(one, unit));
	const wrong = shims.find((one) => !one.ok);
	if (wrong && !wrong.ok) problems.shims = wrong.problem;
	if (shims.length > MAX_SHIMS)
		problems.shims = message('found.too-many-shims', { max: MAX_SHIMS });
	const locator = lengthIn('locator', readEntry);
	const lockOffset = lengthIn('lockOffset', readSignedEntry);
	if (Object.keys(problems).length > 0) return { ok: false, problems };
	return {
		ok: true,
		found: {
			shims: shims.flatMap((one) => (one.ok ? [one.text] : [])),
			...(locator !== undefined && { locator }),
			...(lockOffset !== undefined && { lockOffset }),
			...(texts.lashCap && { lashCap: texts.lashCap === 'yes' }),
			...(texts.damper && { damper: texts.damper === 'yes' }),
			...(texts.seal && { seal: texts.seal }),
			...(texts.put.trim() && { put: texts.put.trim() }),
			...(texts.note.trim() && { note: texts.note.trim() })
		}
	};
}
const MAX_SHIMS = 4;
