import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { cellIn, FORMULA } from './cells.ts';

/** A cell as it stands in a file, and as it comes back from it. */
const written = (text: string) => Papa.unparse([[text, 'x']], { escapeFormulae: FORMULA });
const cellOf = (file: string) => Papa.parse<string[]>(file, { delimiter: ',' }).data[0]![0]!;
const back = (text: string) => cellIn(cellOf(written(text)));

describe('a cell of a spreadsheet', () => {
	it.each([
		'=HYPERLINK("x")',
		'+cmd',
		'-cmd',
		'@SUM(A1)',
		'\t=1',
		"'=1",
		'+1+cmd|calc',
		'-2+3+cmd|calc',
		'-1 in+cmd'
	])('%j is no formula any more', (text) => {
		expect(cellOf(written(text))).toBe(`'${text}`);
		expect(back(text)).toBe(text);
	});
	it.each(['-0.050 in', '+2.5 mm', '-12', '-0,05 N/mm', 'Retainer', "'quoted'", ''])(
		'%j goes as it is',
		(text) => {
			expect(cellOf(written(text))).toBe(text);
			expect(back(text)).toBe(text);
		}
	);
	it('comes back as it went, whatever is in it', () => {
		const odd = fc.string({ unit: fc.constantFrom("'", '=', '+', '-', '@', '\t', '1', 'a') });
		fc.assert(fc.property(odd, (text) => back(text) === text));
	});
});
