import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { INCH_POUND, message, PART_TYPES, type LibraryPart } from '@zinc-ledger/core';
import { readParts } from '@zinc-ledger/core/parts';
import { partsFromCsv, partsToCsv } from './csv.ts';

const demo = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!demo.ok) throw new Error('demo');
const library = demo.value;
const of = (type: string) => library.filter((part) => part.type === type);
const known = (id: string) => library.find(({ part }) => part.id === id);
const read = (text: string) => partsFromCsv(text, INCH_POUND, known, () => crypto.randomUUID());

describe('parts as CSV', () => {
	it.each(PART_TYPES)('%s comes back as it went out', (type) => {
		expect(read(partsToCsv(type, of(type)))).toEqual({ ok: true, parts: of(type), older: [] });
	});
	it('keeps a name with commas, quotes and line breaks in it', () => {
		const odd = structuredClone(of('seal')[0]!) as LibraryPart<'seal'>;
		odd.part.name = 'Seal, "low"';
		odd.part.note = 'first line\nsecond; third';
		expect(read(partsToCsv('seal', [odd]))).toEqual({ ok: true, parts: [odd], older: [] });
	});
	it('takes columns in any order, a mark at the beginning, and bare figures in the shop’s units', () => {
		const text = '\uFEFFoffset;name;type\n50;Plus;locks\n-0.030 in;Minus;locks\n';
		const result = read(text);
		expect(result.ok && result.parts.map(({ part }) => 'offset' in part && part.offset)).toEqual([
			'0.050 in',
			'-0.030 in'
		]);
	});
	it('understands headings as people write them, with the unit of the column', () => {
		const text =
			'type,Name,Source,seat.height (thou),seat.load lbs,Rate (lb/in),bind_in\n' +
			'spring,Sheet 9,customer,1820,128,340,1.150\n';
		const result = read(text);
		expect(result.ok && result.parts[0]!.part).toMatchObject({
			name: 'Sheet 9',
			seat: { height: '1.820 in', load: '128 lbf' },
			rate: '340 lbf/in',
			bind: '1.150 in'
		});
		const locks = read('type,name,Lock angle (deg),Offset thou\nlocks,L,7,50\n');
		expect(locks.ok && locks.parts[0]!.part).toMatchObject({ angle: 7, offset: '0.050 in' });
	});
	it('leaves counts alone that it says nothing of', () => {
		const shim = of('shim').find(({ stock }) => stock !== null)!;
		const result = read(`id,type,name\n${shim.part.id},shim,Renamed\n`);
		if (!result.ok) throw new Error(JSON.stringify(result.problems));
		expect(result.ok && result.parts[0]!.stock).toBe(shim.stock);
		const emptied = read(`id,type,name,stock\n${shim.part.id},shim,Renamed,\n`);
		expect(emptied.ok && emptied.parts[0]!.stock).toBeNull();
	});
	it('leaves out a line written before its part or count changed, and says which', () => {
		const [first, second] = of('shim') as [LibraryPart, LibraryPart];
		const text = partsToCsv('shim', [first, second], (id) =>
			id === first.part.id ? '3.1' : '1.0'
		);
		const now = (id: string) => (id === first.part.id ? '3.2' : '1.0');
		const result = partsFromCsv(text, INCH_POUND, known, () => '', now);
		expect(result).toEqual({
			ok: true,
			parts: [second],
			older: [{ path: 'line 2', text: message('import.older', { name: first.part.name }) }]
		});
	});
	it.each(['+1+cmd|x', '-2+3+cmd|x', '=1'])(
		'a name such as %j is no formula, and comes back',
		(name) => {
			const odd = structuredClone(of('seal')[0]!);
			odd.part.name = name;
			const text = partsToCsv('seal', [odd]);
			expect(text).toContain(`'${name}`);
			expect(
				partsToCsv('seal', (read(text) as Extract<ReturnType<typeof read>, { ok: true }>).parts)
			).toBe(text);
		}
	);
	it('reads the columns and values of an earlier release', () => {
		const before = read('sort,name,turn,restsOn\r\nseal,Old,seal first,guide\r\n');
		const now = read('type,name,installOrder,bottomsOn\r\nseal,Old,seal-first,guide\r\n');
		expect(now.ok && now.parts[0]!.part).toMatchObject({ installOrder: 'seal-first' });
		expect(before.ok && { ...before.parts[0]!.part, id: '' }).toEqual(
			now.ok && { ...now.parts[0]!.part, id: '' }
		);
	});
	it('gives a part without an id a new one, and keeps what the columns do not name', () => {
		const spring = library.find(
			(part): part is LibraryPart<'spring'> => part.type === 'spring' && !!part.part.tested
		)!;
		const result = read(`id,type,name\n${spring.part.id},spring,Renamed\n`);
		expect(result.ok && result.parts[0]!.part).toEqual({ ...spring.part, name: 'Renamed' });
	});
});

describe('what is wrong', () => {
	it.each([
		['name,offset\nA,1', 'line 1', 'import.no-columns'],
		['type,name,offset\nlocks,A,one', 'line 2, offset', 'field.not-quantity'],
		['type,name,offset\nlocks,A,1\nhats,B,1', 'line 3, type', 'field.one-of'],
		['type,name,offset,stock\nlocks,A,1,-3', 'line 2, stock', 'field.negative'],
		['type,name,offset,angle\nlocks,A,1,90', 'line 2, angle', 'field.max'],
		['type,name,offset\nlocks,"A,1', 'line 2', 'import.csv'],
		['type,name\n', '', 'import.no-parts']
	])('%j is told at %s', (text, path, code) => {
		const result = read(text);
		expect(result.ok).toBe(false);
		const problems = result.ok ? [] : result.problems;
		expect(problems.some((one) => one.path === path && one.text.code === code)).toBe(true);
	});
	it('is told all at once', () => {
		const result = read('type,name,offset\nlocks,,x\nlocks,B,y\n');
		expect(result.ok ? [] : result.problems.map(({ path }) => path)).toEqual([
			'line 2, name',
			'line 2, offset',
			'line 3, offset'
		]);
	});
});
