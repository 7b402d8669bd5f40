/** The published schemas, held against what they describe by a validator of somebody else's. */
import { readdirSync, readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { describe, expect, it } from 'vitest';
import { keyOf, METRIC } from '@zinc-ledger/core';
import { readJob, writeJob } from '@zinc-ledger/core/file';
import { signSheet } from '@zinc-ledger/core/signed';
import { newShopKey, sha256, shopKey } from '@zinc-ledger/core/signed-node';

const FORMATS = 'docs/formats';
const read = (path: string): unknown => JSON.parse(readFileSync(path, 'utf8'));
const names = readdirSync(FORMATS).filter((name) => name.endsWith('.schema.json'));

/** All schemas together, since a signed sheet names that of the job in it. */
const ajv = new Ajv2020({ strict: true, allowUnionTypes: true });
(addFormats as unknown as (ajv: Ajv2020) => void)(ajv);
for (const name of names) ajv.addSchema(read(`${FORMATS}/${name}`) as object);

/** Files by the schema of their version. */
const jsonIn = (folder: string) =>
	readdirSync(folder)
		.filter((name) => name.endsWith('.json'))
		.map((name) => `${folder}/${name}`);
const FILES: readonly (readonly [of: string, files: readonly string[]])[] = [
	['urn:zinc-ledger:job:2', jsonIn('demo/jobs')],
	['urn:zinc-ledger:parts:2', ['demo/parts.json']],
	['urn:zinc-ledger:kits:1', ['demo/kits.json']]
];

describe('the published schemas', () => {
	it.each(names)('%s compiles in strict mode, and its id is absolute', (name) => {
		const { $id } = read(`${FORMATS}/${name}`) as { $id: string };
		expect($id).toMatch(/^urn:zinc-ledger:[a-z-]+:\d+$/);
		expect(ajv.getSchema($id)).toBeTypeOf('function');
	});
	it.each(FILES.flatMap(([of, files]) => files.map((file) => [file, of] as const)))(
		'%s is as %s says',
		(file, of) => {
			expect(ajv.validate(of, read(file)), ajv.errorsText()).toBe(true);
		}
	);
	it('say what a signed sheet and an exported job are', () => {
		const job = readJob(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'));
		if (!job.ok) throw new Error(JSON.stringify(job.problems));
		const signing = {
			id: '0197a999-0000-7000-8000-000000000001',
			revision: 1,
			person: job.value.people[0]!,
			at: '2026-11-20T10:00:00.000Z'
		};
		const key = shopKey(newShopKey());
		const text = signSheet(job.value, signing, METRIC, { sha256, write: keyOf, key });
		const isSo = ajv.validate('urn:zinc-ledger:signed-sheet:3', JSON.parse(text));
		expect(isSo, ajv.errorsText()).toBe(true);
		const written: unknown = JSON.parse(writeJob(job.value));
		expect(ajv.validate('urn:zinc-ledger:job:2', written), ajv.errorsText()).toBe(true);
	});
	it('refuse what is not so', () => {
		const job = read('demo/jobs/2417-straight-six.json') as object;
		expect(ajv.validate('urn:zinc-ledger:job:2', { ...job, readings: 'none' })).toBe(false);
		expect(ajv.validate('urn:zinc-ledger:job:2', { ...job, version: 1 })).toBe(false);
	});
});
