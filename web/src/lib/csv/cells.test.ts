import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellIn, cellOut } from './cells.ts';

describe('a cell of a spreadsheet', () => {
	it.each(['=HYPERLINK("x")', '+cmd', '-cmd', '@SUM(A1)', '\t=1', "'=1"])(
		'%j is no formula any more',
		(text) => {
			expect(cellOut(text)).toBe(`'${text}`);
			expect(cellIn(cellOut(text))).toBe(text);
		}
	);
	it.each(['-0.050 in', '+2.5 mm', '-12', 'Retainer', "'quoted'", ''])(
		'%j goes as it is',
		(text) => {
			expect(cellOut(text)).toBe(text);
			expect(cellIn(text)).toBe(text);
		}
	);
	it('comes back as it went, whatever is in it', () => {
		const odd = fc.string({ unit: fc.constantFrom("'", '=', '+', '-', '@', '\t', '1', 'a') });
		fc.assert(fc.property(odd, (text) => cellIn(cellOut(text)) === text));
	});
});
