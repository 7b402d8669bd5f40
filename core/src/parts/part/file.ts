/** The parts library as a file: every part with its stock. */
import { z } from 'zod';
import { issue } from '../../foundation/message/index.ts';
import { readFile, UPGRADES, writeFile, type FileRead } from '../../foundation/file/index.ts';
import { SCHEMA_OF } from './schema.ts';
import { Id } from '../../foundation/units/schema.ts';
import type { LibraryPart, PartOf } from './schema.ts';
import { PART_TYPES, type PartType } from './types.ts';

export const PARTS_FORMAT = 'zinc-ledger/parts';
export const PARTS_VERSION = 3;

const stock = z
	.int(issue('field.whole-number'))
	.min(0, issue('field.negative'))
	.max(100_000)
	.nullable();

/** A part in the library has its place there: a spring has it anywhere, what is typed into a job only there. */
const withId = <S extends PartType>(type: S) => {
	const schema = SCHEMA_OF[type];
	return (type === 'spring'
		? schema
		: (schema as unknown as z.ZodObject).extend({ id: Id })) as unknown as z.ZodType<
		PartOf[S] & { id: string }
	>;
};

const schemaOf = <S extends PartType>(type: S) =>
	z.strictObject({
		type: z.literal(type),
		part: withId(type),
		stock: stock.default(null),
		retired: z.boolean().default(false)
	});

const SCHEMAS = new Map(PART_TYPES.map((type) => [type, schemaOf(type)]));

/** The schema of a library entry of one type: the part, its stock, and whether it is retired. */
export const libraryPartOf = <S extends PartType>(type: S) =>
	SCHEMAS.get(type) as unknown as ReturnType<typeof schemaOf<S>>;

const AnyPart = z.discriminatedUnion(
	'type',
	PART_TYPES.map(libraryPartOf) as unknown as [
		ReturnType<typeof libraryPartOf>,
		...ReturnType<typeof libraryPartOf>[]
	],
	{ error: issue('field.one-of', { values: PART_TYPES }) }
);

/** Parts of a file, each id once. */
export const partsOnce = z
	.array(AnyPart)
	.max(20_000, issue('field.max', { max: 20000, unit: 'parts' }))
	.superRefine((parts, context) => {
		const seen = new Set<string>();
		parts.forEach(({ part }, i) => {
			if (seen.has(part.id)) {
				context.addIssue({
					code: 'custom',
					path: [i, 'part', 'id'],
					message: issue('field.duplicate', { what: 'part' })
				});
			}
			seen.add(part.id);
		});
	});

export const PartsFile = z.strictObject({
	format: z.literal(PARTS_FORMAT),
	version: z.literal(PARTS_VERSION),
	parts: partsOnce
});

/** Reads the text of a parts file: the parts, or every problem found. */
export function readParts(text: string): FileRead<readonly LibraryPart[]> {
	const read = readFile(text, {
		format: PARTS_FORMAT,
		version: PARTS_VERSION,
		upgrade: UPGRADES,
		what: 'parts',
		schema: PartsFile
	});
	return read.ok ? { ok: true, value: read.value.parts as readonly LibraryPart[] } : read;
}

/** Parts as the text of a file. */
export const writeParts = (parts: readonly LibraryPart[]): string =>
	writeFile({ format: PARTS_FORMAT, version: PARTS_VERSION, parts });
