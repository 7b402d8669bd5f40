/** What is typed for one valve: kept in the address, read as figures. */
import { v4 as uuid } from 'uuid';
import {
	oneValveAnswer,
	oneValveJob,
	readSumEntry,
	springFromFigures,
	withShelf,
	type Message,
	type OneValve,
	type OneValveAnswer,
	type Setup,
	type ShelvedShim,
	type SpringCard,
	type Units
} from '@zinc-ledger/core';

/** The fields of the page, as they stand in its address. */
export const FIELDS = ['lift', 'height', 'gap'] as const;
export const SPRING_FIELDS = ['seatHeight', 'seatLoad', 'openHeight', 'openLoad', 'bind'] as const;
export type Field = (typeof FIELDS)[number] | (typeof SPRING_FIELDS)[number];
const ALL = [...SPRING_FIELDS, ...FIELDS];

/** What stands in the address besides the fields: which spring, which kind of valve, read with what. */
export interface Chosen {
	/** Id of a spring of the library; "figures" for one known by its loads. */
	readonly spring: string;
	readonly kind: OneValve['kind'];
	/** Id of a gauge; "phone" where somebody said it. */
	readonly gauge: string;
}
export type Texts = Readonly<Partial<Record<Field, string>>>;

const dimensionOf = (field: Field) =>
	field === 'seatLoad' || field === 'openLoad' ? 'load' : 'length';

export interface Read {
	/** Lengths and loads as texts with their unit. */
	readonly texts: Texts;
	readonly problems: Readonly<Partial<Record<Field, Message>>>;
}

/** The fields that are figures, each with its unit, and what is wrong with the others. */
export function readTexts(typed: Texts, units: Units): Read {
	const texts: Partial<Record<Field, string>> = {};
	const problems: Partial<Record<Field, Message>> = {};
	for (const field of ALL) {
		const text = typed[field]?.trim() ?? '';
		if (text === '') continue;
		const entry = readSumEntry(text, dimensionOf(field), units);
		if (entry.ok) texts[field] = entry.text;
		else problems[field] = entry.problem;
	}
	return { texts, problems };
}

/** The spring that is asked about; null while it is not known. */
function springOf(
	{ spring }: Chosen,
	texts: Texts,
	known: readonly SpringCard[],
	isByPhone: boolean
): SpringCard | null {
	if (spring !== 'figures') return known.find(({ id }) => id === spring) ?? null;
	const { seatHeight, seatLoad, openHeight, openLoad, bind } = texts;
	if (!seatHeight || !seatLoad || !openHeight || !openLoad || !bind) return null;
	return springFromFigures(
		{ height: seatHeight, load: seatLoad, openHeight, openLoad, bind },
		isByPhone ? 'customer' : 'data-sheet',
		'00000000-0000-4000-8000-000000000001'
	);
}

/** The valve of the page's entries. */
export const valveOf = (
	chosen: Chosen,
	texts: Texts,
	springs: readonly SpringCard[],
	gauge: OneValve['gauge']
): OneValve => ({
	kind: chosen.kind,
	spring: springOf(chosen, texts, springs, gauge === null),
	lift: texts.lift ?? null,
	height: texts.height ?? null,
	gap: texts.gap ?? null,
	gauge
});

/** What an address says. */
export function fromAddress(params: URLSearchParams): { typed: Texts; chosen: Chosen } {
	return {
		typed: Object.fromEntries(
			ALL.flatMap((field) => {
				const text = params.get(field)?.slice(0, 24);
				return text ? [[field, text]] : [];
			})
		),
		chosen: {
			spring: params.get('spring') ?? '',
			kind: params.get('kind') === 'exhaust' ? 'exhaust' : 'intake',
			gauge: params.get('gauge') ?? ''
		}
	};
}

/** The address of some entries, each with its unit: another bench reads it the same. */
export function addressOf(typed: Texts, chosen: Chosen, units: Units): string {
	const { texts } = readTexts(typed, units);
	const params = new URLSearchParams();
	if (chosen.spring) params.set('spring', chosen.spring);
	if (chosen.kind === 'exhaust') params.set('kind', 'exhaust');
	if (chosen.gauge) params.set('gauge', chosen.gauge);
	for (const field of ALL) {
		const text = texts[field] ?? typed[field];
		if (text) params.set(field, text);
	}
	return params.size > 0 ? `/valve?${params}` : '/valve';
}

/** What the fields are called. */
export const FIELD_NAMES: Readonly<Record<Field, string>> = {
	seatHeight: 'Card height',
	seatLoad: 'Load at card height',
	openHeight: 'Open height',
	openLoad: 'Load at open height',
	bind: 'Coil bind height',
	lift: 'Valve lift',
	height: 'Installed height',
	gap: 'Seal gap, if read'
};

/** Who asks while nobody saves it. */
const NOBODY = { id: '00000000-0000-4000-8000-000000000002', name: 'One valve', initials: 'OV' };

/** What a sheet says of the valve, with the shims on the shop's shelf. */
export const answerOf = (
	valve: OneValve,
	setup: Setup,
	shims: readonly ShelvedShim[]
): OneValveAnswer =>
	oneValveAnswer(
		withShelf(
			oneValveJob(valve, setup, {
				number: '0',
				customer: { id: NOBODY.id, name: 'Phone' },
				engine: 'One valve',
				person: NOBODY,
				at: '2026-01-01T00:00:00.000Z',
				newId: () => uuid()
			}),
			shims
		)
	);
