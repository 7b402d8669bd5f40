import { existsSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { WORK, workOn } from './needs';

describe('what the work on a page takes', () => {
	it.each([
		['/jobs/[id=uuid]/plan', 'machinist'],
		['/jobs/[id=uuid]/round', 'helper'],
		['/jobs/[id=uuid]/setup', 'machinist'],
		['/policies', 'owner'],
		// The least of several: a sweep may be brought in by a helper.
		['/springs/[id=uuid]', 'helper'],
		['/gauges/[id=uuid]', 'machinist'],
		['/', 'reader'],
		['/sums', 'reader'],
		['/sign-in', 'reader'],
		['/account', 'reader'],
		[null, 'reader']
	])('%s: %s', (route, least) => {
		expect(workOn(route)).toBe(least);
	});

	it('is told of pages that there are', () => {
		const pages = Object.keys(WORK).map((route) => `web/src/routes${route}/+page.svelte`);
		expect(pages.filter((page) => !existsSync(page))).toEqual([]);
	});
});
