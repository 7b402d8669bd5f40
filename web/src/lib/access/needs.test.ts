import { existsSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { SENT, workOn } from './needs';

describe('what the work on a page takes', () => {
	it.each([
		['/jobs/[id=uuid]/plan', 'machinist'],
		['/jobs/[id=uuid]/round', 'helper'],
		['/jobs/[id=uuid]/setup', 'machinist'],
		// What was looked at is a helper's to keep, what follows from it is not.
		['/jobs/[id=uuid]/diagnosis', 'helper'],
		// A note on the job, if not the signature.
		['/jobs/[id=uuid]/sign', 'helper'],
		['/jobs/[id=uuid]/parts', 'helper'],
		['/policies', 'owner'],
		// The least of several: a sweep may be brought in by a helper.
		['/springs/[id=uuid]', 'helper'],
		['/gauges/[id=uuid]', 'machinist'],
		['/', 'reader'],
		['/calculators', 'reader'],
		['/sign-in', 'reader'],
		['/account', 'reader'],
		[null, 'reader']
	])('%s: %s', (route, min) => {
		expect(workOn(route)).toBe(min);
	});

	it('is told of pages that there are', () => {
		const pages = Object.keys(SENT).map((route) => `web/src/routes${route}/+page.svelte`);
		expect(pages.filter((page) => !existsSync(page))).toEqual([]);
	});
});
