/** What happened between two visits, as it is typed. */
import type { Since } from '@zinc-ledger/core';
import { Since as SinceEntry } from '@zinc-ledger/core/schema';
import { problemsOf } from '@zinc-ledger/core/file';
import { tell } from '@zinc-ledger/words';

export const SINCE_NUMBERS = ['hours', 'runs', 'kilometres', 'highestSpeed', 'overSpeed'] as const;
const SINCE_TEXTS = ['complaint', 'changed', 'noticed'] as const;
export const SINCE_FIELDS = [...SINCE_NUMBERS, ...SINCE_TEXTS] as const;
export type SinceField = (typeof SINCE_FIELDS)[number];
export type SinceTexts = Readonly<Partial<Record<SinceField, string>>>;
export type SinceTold = Omit<Since, 'id' | 'person' | 'at'>;

const Told = SinceEntry.omit({ id: true, person: true, at: true });
const GROUPED = /(?<=\d)[\s,'](?=\d{3}\b)/g;

/** What was typed, or what is wrong with it by field; what is left empty is not known. */
export function readSince(
	texts: SinceTexts
):
	| { readonly ok: true; readonly since: SinceTold }
	| { readonly ok: false; readonly problems: Partial<Record<SinceField, string>> } {
	const numbers = SINCE_NUMBERS.flatMap((name) => {
		const typed = texts[name]?.trim().replace(GROUPED, '') ?? '';
		return typed === '' ? [] : [[name, Number(typed)]];
	});
	const words = SINCE_TEXTS.flatMap((name) => {
		const typed = texts[name]?.trim() ?? '';
		return typed === '' ? [] : [[name, typed]];
	});
	const read = Told.safeParse(Object.fromEntries([...numbers, ...words]));
	if (read.success) return { ok: true, since: read.data };
	return {
		ok: false,
		problems: Object.fromEntries(problemsOf(read.error).map(({ path, text }) => [path, tell(text)]))
	};
}

/** What was told, as it would be typed. */
export const sinceTexts = (since: Since | null): Record<SinceField, string> =>
	Object.fromEntries(SINCE_FIELDS.map((name) => [name, String(since?.[name] ?? '')])) as Record<
		SinceField,
		string
	>;
