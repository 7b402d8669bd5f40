/** Parts of one type as CSV: one row a part, one column a field; figures keep their units. */
import Papa from 'papaparse';
import type { LibraryPart, PartType, Units } from '@zinc-ledger/core';
import { PART_TYPES } from '@zinc-ledger/core';
import { fieldNow, firstOf, pathText, valueNow, type Problem } from '@zinc-ledger/core/file';
import { libraryPartOf } from '@zinc-ledger/core/parts';
import { flatten, unflatten, type Values } from '$lib/forms/flat';
import { cellIn, FORMULA } from '$lib/csv/cells';
import { headingOf, withColumnUnit } from '$lib/csv/headings';
import { fieldsOf, type PartField } from './fields';
import { message, messageOf } from '@zinc-ledger/core';

const ABOUT = ['id', 'type', 'stock', 'retired', 'revision'] as const;

/** What a part and its count stand at, as one text; empty where that is not known. */
export type RevisionOf = (id: string) => string;
const NONE: RevisionOf = () => '';

/** The parts as the text of a CSV file. */
export function partsToCsv(
	type: PartType,
	parts: readonly LibraryPart[],
	revisionOf = NONE
): string {
	const fields = fieldsOf(type);
	return (
		Papa.unparse(
			{
				fields: [...ABOUT, ...fields.map(({ path }) => path)],
				data: parts.map(({ part, stock, retired }) => {
					const values = flatten(part, fields);
					return [
						part.id,
						type,
						stock ?? '',
						retired ? 'yes' : 'no',
						revisionOf(part.id),
						...fields.map(({ path }) => values[path]!)
					];
				})
			},
			{ newline: '\r\n', escapeFormulae: FORMULA }
		) + '\r\n'
	);
}

export type CsvRead =
	| {
			ok: true;
			parts: readonly LibraryPart[];
			/** Lines left out, since their part or its count changed after the file was written. */
			older: readonly Problem[];
	  }
	| { ok: false; problems: readonly Problem[] };

/** A file of more parts than this is cut up first. */
const MAX_ROWS = 5000;

/** The rows of a file by the names of its columns, and the unit that a column's heading says. */
function tableIn(text: string) {
	const unitOf = new Map<string, string | null>();
	const read = Papa.parse<Values>(text.replace(/^\uFEFF/, ''), {
		header: true,
		skipEmptyLines: 'greedy',
		preview: MAX_ROWS + 1,
		// Names and values of earlier releases are read as those of now.
		transformHeader: (heading) => {
			const { name, unit } = headingOf(heading);
			const column = name.split('.').map(fieldNow).join('.');
			unitOf.set(column, unit);
			return column;
		},
		transform: (cell, field) => valueNow(String(field).split('.').at(-1)!, cellIn(cell))
	});
	return { ...read, unitOf };
}

/**
 * Reads a CSV file of parts, whole or not at all; every problem has its line.
 *
 * @param known the part of this id as it is, whose fields that CSV does not show are kept, its
 * count too
 * @param revisionOf what a part stands at now: a line written before that is left out
 */
export function partsFromCsv(
	text: string,
	units: Units,
	known: (id: string) => LibraryPart | undefined,
	newId: () => string,
	revisionOf = NONE
): CsvRead {
	const { data, errors, meta, unitOf } = tableIn(text);
	if (data.length > MAX_ROWS) {
		const text = message('import.too-many-parts', { max: MAX_ROWS });
		return { ok: false, problems: [{ path: '', text }] };
	}
	const problems: Problem[] = errors
		.filter(({ code }) => code !== 'UndetectableDelimiter')
		.map(({ row, type, message: says }) => ({
			// A quote left open is counted from the first line, anything else from the first part.
			path: `line ${(row ?? 0) + (type === 'Quotes' ? 1 : 2)}`,
			text: message('import.csv', { says: says.toLowerCase() })
		}));
	const columns = meta.fields ?? [];
	if (!columns.includes('type') || !columns.some((column) => column.toLowerCase() === 'name')) {
		return { ok: false, problems: [{ path: 'line 1', text: message('import.no-columns') }] };
	}
	const parts: LibraryPart[] = [];
	const older: Problem[] = [];
	const seen = new Set<string>();
	data.forEach((row, i) => {
		const at = (field?: string) => `line ${i + 2}${field ? `, ${field}` : ''}`;
		const type = row.type?.trim() as PartType;
		if (!PART_TYPES.includes(type)) {
			problems.push({
				path: at('type'),
				text: message('field.one-of', { values: PART_TYPES })
			});
			return;
		}
		const { fields, values } = inFields(row, fieldsOf(type), unitOf);
		const id = row.id?.trim() || newId();
		if (seen.has(id))
			problems.push({ path: at('id'), text: message('field.duplicate', { what: 'part' }) });
		seen.add(id);
		const revision = row.revision?.trim() ?? '';
		if (revision !== '' && known(id) && revisionOf(id) !== revision) {
			older.push({ path: at(), text: message('import.older', { name: known(id)!.part.name }) });
			return;
		}
		const stock = (row.stock ?? '').trim();
		const counted = stock === '' ? null : Number(stock);
		const result = libraryPartOf(type).safeParse({
			type,
			part: { ...unflatten(values, fields, known(id)?.part, units), id },
			// A file that says nothing of counts leaves them alone.
			stock: row.stock === undefined ? (known(id)?.stock ?? null) : counted,
			retired: row.retired?.trim().toLowerCase() === 'yes'
		});
		if (result.success) parts.push(result.data as LibraryPart);
		else {
			for (const issue of result.error.issues) {
				const path = pathText(issue.path).replace(/^part\.?/, '');
				problems.push({ path: at(path), text: messageOf(issue) });
			}
		}
	});
	if (problems.length > 0) return { ok: false, problems: firstOf(problems, (one) => one) };
	if (parts.length === 0 && older.length > 0) return { ok: false, problems: older };
	if (parts.length === 0)
		return { ok: false, problems: [{ path: '', text: message('import.no-parts') }] };
	return { ok: true, parts, older };
}

const isNamed = (column: string, name: string) => column.toLowerCase() === name.toLowerCase();

/** What a row says of a type’s fields, whose columns are named by their paths or by what the forms call them. */
function inFields(
	row: Values,
	fields: readonly PartField[],
	unitOf: ReadonlyMap<string, string | null>
): { readonly fields: readonly PartField[]; readonly values: Values } {
	// A part's own id is no inside diameter, which the forms call ID.
	const columns = Object.keys(row).filter((one) => !(ABOUT as readonly string[]).includes(one));
	const named = fields.flatMap((field) => {
		const column =
			columns.find((one) => one === field.path) ??
			columns.find((one) => isNamed(one, field.path) || isNamed(one, field.label.split(',')[0]!));
		return column === undefined ? [] : [{ field, column }];
	});
	return {
		fields: named.map(({ field }) => field),
		values: Object.fromEntries(
			named.map(({ field, column }) => [
				field.path,
				withColumnUnit(row[column] ?? '', unitOf.get(column) ?? null)
			])
		)
	};
}
