/**
 * Writes the JSON Schema of the job file to docs/formats/, made from the Zod
 * schema; with --check, fails when the published one has fallen behind.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { z } from 'zod';
import { Job } from '@zinc-ledger/core/schema';

const file = new URL('../../docs/formats/job.schema.json', import.meta.url);
const schema = {
	$id: 'zinc-ledger/job/1',
	title: 'Zinc Ledger job, version 1',
	...z.toJSONSchema(Job, { io: 'input' })
};
const text = `${JSON.stringify(schema, null, 2)}\n`;

if (process.argv.includes('--check')) {
	if ((await readFile(file, 'utf8').catch(() => '')) !== text) {
		process.stderr.write('docs/formats/job.schema.json has fallen behind: npm run schemas\n');
		process.exitCode = 1;
	}
} else {
	await writeFile(file, text);
}
