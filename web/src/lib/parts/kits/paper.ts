/** A kit from its paper: the parts that it names, made with what is known of them. */
import {
	KINDS,
	KIT_PLACES,
	LENGTH_TEXT,
	lengthOf,
	message,
	messageOf,
	MM_PER,
	readEntry,
	TYPE_OF,
	springFaults,
	type Kind,
	type Kit,
	type KitPlace,
	type LibraryPart,
	type Units
} from '@zinc-ledger/core';
import { Kit as KitSchema } from '@zinc-ledger/core/kit-schema';
import { libraryPartOf } from '@zinc-ledger/core/parts';
import { unflatten, type Values } from '../../forms/flat';
import { label, tell } from '@zinc-ledger/words';
import { AT_LIFT, fieldsOfPlace } from './fields';

/** Values of the paper by path; those of the exhaust alone begin with this. */
export const EXHAUST = 'exhaust.';

/** The part of a library that has a name already. */
export type Known = (place: KitPlace, name: string) => LibraryPart | undefined;

export type PaperRead =
	| { readonly ok: true; readonly kit: Kit; readonly parts: readonly LibraryPart[] }
	| { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/** Stands in the box unless it says that there are none. */
const ALWAYS: readonly KitPlace[] = ['spring', 'retainer', 'locks'];

/**
 * Reads the page of a kit. Of each place one part is made for both kinds, or two
 * where the exhaust has figures of its own; a part whose name the library has is that one.
 */
export function kitFromPaper(
	values: Values,
	units: Units,
	known: Known,
	newId: () => string
): PaperRead {
	const problems: Record<string, string> = {};
	const parts: LibraryPart[] = [];
	const kinds: Record<Kind, Partial<Record<KitPlace, string>>> = { intake: {}, exhaust: {} };
	for (const place of KIT_PLACES) {
		let before = null as { readonly texts: string; readonly id: string | null } | null;
		for (const kind of KINDS) {
			const own = valuesOf(values, place, kind);
			if (!isInBox(own, values, place)) continue;
			const texts = JSON.stringify(own);
			if (before?.texts === texts) {
				if (before.id !== null) kinds[kind][place] = before.id;
				continue;
			}
			const prefix = kind === 'exhaust' && before ? EXHAUST : '';
			const made = partFrom(place, own, { values, units, known, newId, second: before !== null });
			if ('problems' in made) {
				for (const [path, text] of Object.entries(made.problems)) problems[prefix + path] = text;
				before = { texts, id: null };
				continue;
			}
			if (made.isNew) parts.push(made.part);
			kinds[kind][place] = made.part.part.id;
			before = { texts, id: made.part.part.id };
		}
	}
	const kit = KitSchema.safeParse({ ...kitTexts(values), id: newId(), kinds });
	if (!kit.success)
		for (const issue of kit.error.issues) problems[issue.path.join('.')] = tell(messageOf(issue));
	return kit.success && Object.keys(problems).length === 0
		? { ok: true, kit: kit.data, parts }
		: { ok: false, problems };
}

/** What a kit keeps besides its parts, from the fields of its page. */
export function kitTexts(values: Values): Partial<Kit> {
	const box = KIT_PLACES.flatMap((place) => {
		const text = (values[`box.${place}`] ?? '').trim();
		return text === '' ? [] : [[place, /^\d+$/.test(text) ? Number(text) : text]];
	});
	const named = (place: 'seal' | 'locator') =>
		(values[`refused.${place}`] ?? '')
			.split(';')
			.map((name) => name.trim())
			.filter(Boolean)
			.map((name) => ({ place, name }));
	const { maker, instructions } = values;
	return {
		name: values.name ?? '',
		...(maker?.trim() && { maker }),
		refused: [...named('seal'), ...named('locator')],
		box: Object.fromEntries(box) as Kit['box'],
		...(instructions?.trim() && { instructions })
	};
}

/** The texts of one part: the exhaust's own where it has some, else those of both. */
function valuesOf(values: Values, place: KitPlace, kind: Kind): Values {
	const own: Values = {};
	for (const path of [...fieldsOfPlace(place).map((one) => `${place}.${one.path}`), AT_LIFT]) {
		if (!path.startsWith(`${place}.`)) continue;
		const both = (values[path] ?? '').trim();
		const exhaust = (values[EXHAUST + path] ?? '').trim();
		const text = kind === 'exhaust' && exhaust !== '' ? exhaust : both;
		if (text !== '') own[path.slice(place.length + 1)] = text;
	}
	return own;
}

function isInBox(own: Values, values: Values, place: KitPlace): boolean {
	if (values[`box.${place}`]?.trim() === '0') return false;
	return ALWAYS.includes(place) || Object.keys(own).length > 0;
}

interface Making {
	readonly values: Values;
	readonly units: Units;
	readonly known: Known;
	readonly newId: () => string;
	/** Whether it is the exhaust's beside another of the intake. */
	readonly second: boolean;
}

function partFrom(
	place: KitPlace,
	own: Values,
	{ values, units, known, newId, second }: Making
): { part: LibraryPart; isNew: boolean } | { problems: Record<string, string> } {
	const there = own.name === undefined ? undefined : known(place, own.name);
	if (there) return { part: there, isNew: false };
	const kitName = (values.name ?? '').trim();
	const usual = place === 'spring' ? kitName : `${kitName} ${label('slot', place)}`;
	const name = own.name ?? (second ? `${usual}, ${label('kind', 'exhaust')}` : usual);
	const made = unflatten({ ...own, name }, fieldsOfPlace(place), {}, units) as Record<
		string,
		unknown
	>;
	const { maker } = values;
	const part = {
		...(place === 'spring' && { source: 'card' }),
		...(place === 'locks' && { offset: '0 mm' }),
		...made,
		name,
		...(maker?.trim() && { maker: maker.trim() }),
		id: newId()
	};
	const problems = place === 'spring' ? openHeight(part, own, units) : {};
	const read = libraryPartOf(TYPE_OF[place]).safeParse({ type: TYPE_OF[place], part });
	if (!read.success) {
		for (const issue of read.error.issues) {
			const path = `${place}.${issue.path.slice(1).join('.')}`;
			// The name is the kit's own, and is asked for there.
			if (path !== `${place}.name`) problems[onThePage(path)] ??= tell(messageOf(issue));
		}
		return { problems };
	}
	const libraryPart = read.data as LibraryPart;
	if (libraryPart.type === 'spring')
		for (const { field, text } of springFaults(libraryPart.part))
			problems[onThePage(`${place}.${field}`)] ??= tell(text);
	return Object.keys(problems).length > 0 ? { problems } : { part: libraryPart, isNew: true };
}

/** Fields that the page asks for in other words. */
const onThePage = (path: string) =>
	({
		'spring.open.height': AT_LIFT,
		'spring.open': 'spring.open.load',
		'spring.rate': 'spring.open.load'
	})[path] ?? path;

/** The height of the open load, from the lift that it is stated at. */
function openHeight(
	part: Record<string, unknown>,
	own: Values,
	units: Units
): Record<string, string> {
	const { seat, open } = part as { seat?: { height?: string }; open?: { load?: string } };
	const at = readEntry(own.at ?? '', units.length);
	if (!open?.load && own.at === undefined) return {};
	if (!at.ok) return { [AT_LIFT]: tell(own.at ? at.problem : message('field.required')) };
	if (!open?.load || !LENGTH_TEXT.test(seat?.height ?? '')) return {};
	const height = lengthOf(seat!.height!) - at.length;
	if (height <= 0) return { [AT_LIFT]: tell(message('spring.not-below-seat')) };
	const unit = seat!.height!.endsWith('mm') ? 'mm' : 'in';
	const digits = Number((height / MM_PER[unit]).toFixed(5));
	part.open = { height: `${digits} ${unit}`, load: open.load };
	return {};
}
