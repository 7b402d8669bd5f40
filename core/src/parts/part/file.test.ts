/** A parts file: whole or not at all, every problem at its path. */
import { describe, expect, it } from 'vitest';
import { readParts, writeParts } from './file.ts';
import { PART_TYPES } from './types.ts';

const file = (...parts: object[]) =>
	JSON.stringify({ format: 'zinc-ledger/parts', version: 2, parts });
const id = '00000000-0000-7000-8000-000000000001';

describe('a parts file', () => {
	it('is read with blanks about a name, and goes out without them', () => {
		const read = readParts(file({ type: 'seal', part: { id, name: ' Low seal ' } }));
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		expect(read.value[0]!.part.name).toBe('Low seal');
		expect(readParts(writeParts(read.value))).toEqual(read);
	});
	it.each(PART_TYPES)('wants an id of every %s', (type) => {
		const read = readParts(file({ type, part: { name: 'No id' } }));
		expect(read.ok ? [] : read.problems.map(({ path }) => path)).toContain('parts[0].part.id');
	});
	it('names an id that is there twice', () => {
		const seal = { type: 'seal', part: { id, name: 'Low seal' } };
		const read = readParts(file(seal, seal));
		expect(read.ok ? [] : read.problems.map(({ path }) => path)).toEqual(['parts[1].part.id']);
	});
});
