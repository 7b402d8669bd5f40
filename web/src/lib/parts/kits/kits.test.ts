/** A kit read from the page of its paper, and as CSV. */
import { describe, expect, it } from 'vitest';
import { INCH_POUND, METRIC, type LibraryPart } from '@zinc-ledger/core';
import { kitsFromCsv, kitsToCsv } from './csv.ts';
import { kitFromPaper, type Known } from './paper.ts';

let count = 0;
const newId = () => `00000000-0000-7000-8000-${String(++count).padStart(12, '0')}`;
const none: Known = () => undefined;
const PAPER = {
	name: 'Quill 7',
	'spring.seat.height': '1.800',
	'spring.seat.load': '130',
	'spring.open.load': '320',
	'spring.at': '540',
	'spring.bind': '1.150',
	'locator.name': 'Step locator',
	'locator.thickness': '60',
	'seal.name': 'Low seal'
};
const read = (values: Record<string, string>, known = none, units = INCH_POUND) =>
	kitFromPaper(values, units, known, newId);
const made = (...from: Parameters<typeof read>) => {
	const kit = read(...from);
	if (!kit.ok) throw new Error(JSON.stringify(kit.problems));
	return kit;
};
const refused = (...from: Parameters<typeof read>) => {
	const kit = read(...from);
	return kit.ok ? {} : kit.problems;
};
const named = (parts: readonly LibraryPart[], type: string) =>
	parts.filter((one) => one.type === type).map(({ part }) => part);

describe('a kit from its paper', () => {
	it('makes the parts that it names with what is known of them', () => {
		const { kit, parts } = made(PAPER);
		expect(named(parts, 'spring')).toEqual([
			{
				id: kit.kinds.intake.spring,
				name: 'Quill 7',
				source: 'card',
				seat: { height: '1.800 in', load: '130 lbf' },
				open: { height: '1.26 in', load: '320 lbf' },
				bind: '1.150 in'
			}
		]);
		expect(named(parts, 'locks')).toMatchObject([{ name: 'Quill 7 locks', offset: '0 mm' }]);
		expect(named(parts, 'locator')).toMatchObject([{ thickness: '0.060 in' }]);
		expect(kit.kinds.exhaust).toEqual(kit.kinds.intake);
		expect(parts).toHaveLength(5);
	});
	it('makes a second part only where the exhaust has figures of its own', () => {
		const { kit, parts } = made({ ...PAPER, 'exhaust.spring.seat.load': '120' });
		expect(named(parts, 'spring').map(({ name }) => name)).toEqual(['Quill 7', 'Quill 7, exhaust']);
		expect(kit.kinds.exhaust.retainer).toBe(kit.kinds.intake.retainer);
		expect(kit.kinds.exhaust.spring).not.toBe(kit.kinds.intake.spring);
	});
	it('takes a part whose name the library has, and leaves out what the box has none of', () => {
		const there = { type: 'seal', part: { id: newId(), name: 'Low seal' } } as LibraryPart;
		const { kit, parts } = made({ ...PAPER, 'box.locks': '0', 'box.spring': '16' }, (place) =>
			place === 'seal' ? there : undefined
		);
		expect(kit.kinds.intake.seal).toBe(there.part.id);
		expect(kit.kinds.intake.locks).toBeUndefined();
		expect(kit.box).toEqual({ locks: 0, spring: 16 });
		expect(named(parts, 'seal')).toEqual([]);
	});
	it('reads each figure in its own unit, and lift off the height in that of the height', () => {
		const { parts } = made(
			{ ...PAPER, 'spring.seat.height': '46.2', 'spring.at': '0.5 in', 'spring.bind': '28' },
			none,
			METRIC
		);
		expect(named(parts, 'spring')[0]).toMatchObject({
			seat: { height: '46.2 mm', load: '130 N' },
			open: { height: '33.5 mm', load: '320 N' }
		});
	});
	it('names what is wrong at its own field, in either column', () => {
		expect(Object.keys(refused({ ...PAPER, 'spring.at': '' }))).toEqual(['spring.at']);
		expect(Object.keys(refused({ ...PAPER, 'locator.thickness': '' }))).toEqual([
			'locator.thickness'
		]);
		expect(Object.keys(refused({ ...PAPER, 'spring.bind': '1.900' }))).toEqual(['spring.bind']);
		expect(Object.keys(refused({ ...PAPER, 'exhaust.spring.bind': 'x' }))).toEqual([
			'exhaust.spring.bind'
		]);
		expect(Object.keys(refused({ ...PAPER, name: '' }))).toEqual(['name']);
		expect(Object.keys(refused({ ...PAPER, 'box.spring': 'many' }))).toEqual(['box.spring']);
		expect(Object.keys(refused({ ...PAPER, 'spring.at': '1.9' }))).toEqual(['spring.at']);
	});
	it('keeps what it forbids by name', () => {
		const { kit } = made({ ...PAPER, 'refused.seal': 'Wide seal; Tall seal' });
		expect(kit.refused).toEqual([
			{ place: 'seal', name: 'Wide seal' },
			{ place: 'seal', name: 'Tall seal' }
		]);
	});
});

describe('kits as CSV', () => {
	it('come back as they went out', () => {
		const { kit } = made({
			...PAPER,
			maker: '=Quill',
			instructions: 'Locators first.\nThen seals.',
			'refused.locator': 'Thin one',
			'box.retainer': '12'
		});
		const text = kitsToCsv([kit]);
		expect(text).toContain("'=Quill");
		expect(kitsFromCsv(text, () => true, newId)).toEqual({ ok: true, kits: [kit] });
	});
	it('name line and column of what is wrong, and take nothing', () => {
		const text = kitsToCsv([made(PAPER).kit]).replace('Quill 7', '');
		const back = kitsFromCsv(text, () => false, newId);
		const paths = back.ok ? [] : back.problems.map(({ path }) => path);
		expect(paths).toContain('line 2, intake.spring');
		expect(paths).toContain('line 2, name');
		expect(kitsFromCsv('name\r\nQuill', () => true, newId).ok).toBe(false);
	});
});
