/** What lies on the bench once a head came apart. */
import { describe, expect, it } from 'vitest';
import type { AsFound } from '../job/document/index.ts';
import { foundAt, foundCounts } from './as-found.ts';

const found = (station: string, minute: number, more: Partial<AsFound> = {}): AsFound => ({
	id: `${station} ${minute}`,
	station,
	shims: [],
	person: 'x',
	at: new Date(Date.UTC(2026, 2, 1, 8, minute)).toISOString(),
	...more
});

describe('what was found', () => {
	it('counts the newest of each station', () => {
		const asFound = [
			found('1I', 5, { shims: ['0.030 in'], locator: '1 mm', seal: 'positive', lashCap: true }),
			found('1I', 1, { shims: ['1.50 mm', '0.75 mm'] }),
			found('1E', 2, {
				shims: ['1.50 mm', '0.762 mm'],
				locator: '0 mm',
				seal: 'none',
				damper: true
			})
		];
		expect(foundAt({ asFound }).get('1I')!.shims).toEqual(['0.030 in']);
		expect(foundCounts({ asFound })).toEqual({
			stations: 2,
			// 0.762 mm and 0.030 in are one size, however they were typed.
			shims: [
				[1.5, 1],
				[0.762, 2]
			],
			locators: 1,
			lockHalves: 4,
			caps: 1,
			dampers: 1,
			seals: 1
		});
	});
});
