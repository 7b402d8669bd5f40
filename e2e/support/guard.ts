/** Every browser test fails on what its browser reports, unless the test said that it expects it. */
import { afterEach } from 'vitest';
import { opened } from './browser.ts';

afterEach(async () => {
	const reports = await Promise.all([...opened].map((browser) => browser.reported()));
	const found = reports.flat();
	if (found.length > 0) throw new Error(`the browser reported:\n${found.join('\n')}`);
});
