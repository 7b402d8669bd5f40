/**
 * Writes the JSON Schemas of the open files to docs/formats/, made from the Zod
 * schemas; with --check, fails when a published one has fallen behind.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { z } from 'zod';
import { Job } from '@zinc-ledger/core/schema';
import { KitsFile } from '@zinc-ledger/core/kits';
import { PartsFile } from '@zinc-ledger/core/parts';
import { SignedSheet } from '@zinc-ledger/core/signed';
import { Sweep } from '@zinc-ledger/core/sweep-schema';

// A signed sheet names the schema of the job in it and does not repeat it.
const urn = (name: string, version: number) => `urn:zinc-ledger:${name}:${version}`;
const job = z.unknown().meta({ $ref: urn('job', 2) });
const FILES = [
	{ name: 'job', version: 2, title: 'Zinc Ledger job, version 2', schema: Job },
	{ name: 'parts', version: 2, title: 'Zinc Ledger parts library, version 2', schema: PartsFile },
	{ name: 'kits', version: 1, title: 'Zinc Ledger kits, version 1', schema: KitsFile },
	{
		name: 'signed-sheet',
		version: 3,
		title: 'Zinc Ledger signed sheet, version 3',
		schema: SignedSheet.extend({ job })
	},
	{ name: 'sweep', version: 1, title: 'Zinc Ledger sweep, version 1', schema: Sweep }
];

for (const { name, version, title, schema } of FILES) {
	const file = new URL(`../../docs/formats/${name}.schema.json`, import.meta.url);
	const published = {
		$id: urn(name, version),
		title,
		...z.toJSONSchema(schema, { io: 'input' })
	};
	const text = `${JSON.stringify(published, null, 2)}\n`;
	if (!process.argv.includes('--check')) await writeFile(file, text);
	else if ((await readFile(file, 'utf8').catch(() => '')) !== text) {
		process.stderr.write(`docs/formats/${name}.schema.json has fallen behind: npm run schemas\n`);
		process.exitCode = 1;
	}
}
