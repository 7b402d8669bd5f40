/** Kits as CSV: one row a kit; parts stand by their ids, which the parts' own files name. */
import Papa from 'papaparse';
import { KINDS, KIT_PLACES, message, messageOf, type Kit, type KitPlace } from '@zinc-ledger/core';
import { firstOf, pathText, type Problem } from '@zinc-ledger/core/file';
import { Kit as KitSchema } from '@zinc-ledger/core/kit-schema';
import { cellIn, FORMULA } from '$lib/csv/cells';
import type { Values } from '$lib/forms/flat';
import { kitTexts } from './paper';

const PARTS = KINDS.flatMap((kind) => KIT_PLACES.map((place) => ({ kind, place })));
const COLUMNS = [
	'id',
	'name',
	'maker',
	...PARTS.map(({ kind, place }) => `${kind}.${place}`),
	...KIT_PLACES.map((place) => `box.${place}`),
	'refused.seal',
	'refused.locator',
	'instructions'
];

/** What a kit's page shows besides its parts. */
export function textsOfKit({ name, maker, box, refused, instructions }: Kit): Values {
	const named = (place: string) =>
		refused
			.filter((one) => one.place === place)
			.map((one) => one.name)
			.join('; ');
	return {
		name,
		maker: maker ?? '',
		...Object.fromEntries(KIT_PLACES.map((place) => [`box.${place}`, String(box[place] ?? '')])),
		'refused.seal': named('seal'),
		'refused.locator': named('locator'),
		instructions: instructions ?? ''
	};
}

/** The kits as the text of a CSV file. */
export function kitsToCsv(kits: readonly Kit[]): string {
	const data = kits.map((kit) => {
		const row: Values = { id: kit.id, ...textsOfKit(kit) };
		for (const { kind, place } of PARTS) row[`${kind}.${place}`] = kit.kinds[kind][place] ?? '';
		return COLUMNS.map((column) => row[column]!);
	});
	return (
		Papa.unparse({ fields: COLUMNS, data }, { newline: '\r\n', escapeFormulae: FORMULA }) + '\r\n'
	);
}

export type KitsCsvRead =
	| { readonly ok: true; readonly kits: readonly Kit[] }
	| { readonly ok: false; readonly problems: readonly Problem[] };

const MAX_ROWS = 2000;

/**
 * Reads a CSV file of kits, whole or not at all; every problem has its line.
 *
 * @param hasPart whether the library has a part of this id that belongs in a place
 */
export function kitsFromCsv(
	text: string,
	hasPart: (id: string, place: KitPlace) => boolean,
	newId: () => string
): KitsCsvRead {
	const { data, meta } = Papa.parse<Values>(text.replace(/^\uFEFF/, ''), {
		header: true,
		skipEmptyLines: 'greedy',
		preview: MAX_ROWS,
		transform: cellIn
	});
	const problems: Problem[] = [];
	if (!meta.fields?.includes('name') || !meta.fields.includes('intake.spring'))
		return { ok: false, problems: [{ path: 'line 1', text: message('import.no-columns') }] };
	const kits = data.flatMap((row, i): Kit[] => {
		const at = (field: string) => `line ${i + 2}, ${field}`;
		const kinds = { intake: {}, exhaust: {} } as Record<string, Record<string, string>>;
		for (const { kind, place } of PARTS) {
			const id = row[`${kind}.${place}`]?.trim();
			if (!id) continue;
			kinds[kind]![place] = id;
			if (!hasPart(id, place))
				problems.push({
					path: at(`${kind}.${place}`),
					text: message('server.unknown', { what: 'part' })
				});
		}
		const read = KitSchema.safeParse({ ...kitTexts(row), id: row.id?.trim() || newId(), kinds });
		if (read.success) return [read.data];
		for (const issue of read.error.issues)
			problems.push({ path: at(pathText(issue.path)), text: messageOf(issue) });
		return [];
	});
	if (kits.length === 0 && problems.length === 0)
		problems.push({ path: '', text: message('import.no-parts') });
	return problems.length > 0
		? { ok: false, problems: firstOf(problems, (one) => one) }
		: { ok: true, kits };
}
