/** What stood at a station when it came apart: read from its form. */
import { describe, expect, it } from 'vitest';
import type { AsFound } from '@zinc-ledger/core';
import { NOTHING, readFound, textsOf } from './as-found';

const found = (station: string, minute: number, more: Partial<AsFound> = {}): AsFound => ({
	id: `${station} ${minute}`,
	station,
	shims: [],
	person: 'x',
	at: new Date(Date.UTC(2026, 2, 1, 8, minute)).toISOString(),
	...more
});

describe('what was found', () => {
	it('is read in the units of the person, and goes back into its form', () => {
		const texts = {
			...NOTHING,
			shims: '30 + 0.4 mm',
			locator: '0',
			lockOffset: '-0.050',
			lashCap: 'yes' as const,
			seal: 'umbrella' as const,
			put: ' row 2 '
		};
		const read = readFound(texts, 'in');
		expect(read).toEqual({
			ok: true,
			found: {
				shims: ['0.030 in', '0.4 mm'],
				locator: '0.000 in',
				lockOffset: '-0.050 in',
				lashCap: true,
				seal: 'umbrella',
				put: 'row 2'
			}
		});
		if (read.ok)
			expect(textsOf({ ...found('1I', 0), ...read.found }).shims).toBe('0.030 in + 0.4 mm');
	});
	it('is known only where somebody said it: no shims are none, the rest is open', () => {
		expect(readFound(NOTHING, 'mm')).toEqual({ ok: true, found: { shims: [] } });
	});
	it('is refused at its field where it cannot be read', () => {
		const read = readFound({ ...NOTHING, shims: 'thick', locator: '-1' }, 'mm');
		expect(read.ok ? [] : Object.keys(read.problems)).toEqual(['shims', 'locator']);
		const many = readFound({ ...NOTHING, shims: '1+1+1+1+1' }, 'mm');
		expect(many.ok ? null : many.problems.shims).toEqual({
			code: 'found.too-many-shims',
			params: { max: 4 }
		});
	});
});
