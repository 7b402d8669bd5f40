/** Kits as a file: each with the parts it is made of, so that another shop can take it in. */
import { z } from 'zod';
import { issue } from '../../foundation/message/index.ts';
import { fromVersion2, readFile, writeFile, type FileRead } from '../../foundation/file/index.ts';
import { partsOnce } from '../part/file.ts';
import type { LibraryPart } from '../part/schema.ts';
import { KINDS } from '../../foundation/station/index.ts';
import { partIdsOf } from './kit.ts';
import { TYPE_OF } from '../part/index.ts';
import { Kit } from './schema.ts';
import type { KitPlace } from './types.ts';

export const KITS_FORMAT = 'zinc-ledger/kits';
/** Kits of version 1 have the names that parts have in version 2; there was no version 2 of kits. */
export const KITS_VERSION = 3;

export const KitsFile = z
	.strictObject({
		format: z.literal(KITS_FORMAT),
		version: z.literal(KITS_VERSION),
		kits: z.array(Kit).max(2000, issue('field.max', { max: 2000, unit: 'kits' })),
		parts: partsOnce
	})
	.superRefine(({ kits, parts }, context) => {
		const typeOf = new Map(parts.map(({ part, type }) => [part.id, type]));
		const seen = new Set<string>();
		kits.forEach((kit, i) => {
			const problem = (path: readonly string[], message: string) =>
				context.addIssue({ code: 'custom', path: ['kits', i, ...path], message });
			if (seen.has(kit.id)) problem(['id'], issue('field.duplicate', { what: 'kit' }));
			seen.add(kit.id);
			for (const kind of KINDS)
				for (const [place, id] of Object.entries(kit.kinds[kind]))
					if (typeOf.get(id) !== TYPE_OF[place as KitPlace])
						problem(['kinds', kind, place], issue('kit.no-part'));
		});
	});

/** Kits, and the parts they are made of. */
export interface KitsAndParts {
	readonly kits: readonly Kit[];
	readonly parts: readonly LibraryPart[];
}

/** Reads the text of a kits file: the kits with their parts, or every problem found. */
export function readKits(text: string): FileRead<KitsAndParts> {
	const read = readFile(text, {
		format: KITS_FORMAT,
		version: KITS_VERSION,
		upgrade: { 1: fromVersion2, 2: fromVersion2 },
		what: 'kits',
		schema: KitsFile
	});
	return read.ok
		? { ok: true, value: { kits: read.value.kits, parts: read.value.parts as LibraryPart[] } }
		: read;
}

/** Kits as the text of a file, with those of the parts that they are made of, in the order they are named in. */
export function writeKits({ kits, parts }: KitsAndParts): string {
	const used = [...new Set(kits.flatMap(partIdsOf))];
	const byId = new Map(parts.map((one) => [one.part.id, one]));
	return writeFile({
		format: KITS_FORMAT,
		version: KITS_VERSION,
		kits,
		parts: used.flatMap((id) => byId.get(id) ?? [])
	});
}
