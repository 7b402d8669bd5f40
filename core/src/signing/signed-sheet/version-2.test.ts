/** Files and signed sheets of version 2 open with the same figures, to the last digit. */
import { describe, expect, it } from 'vitest';
import { writeJob } from '../../job/document/file.ts';
import { readKits, writeKits } from '../../parts/kit/file.ts';
import { readParts, writeParts } from '../../parts/part/file.ts';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { sheetCrypto } from './node.ts';
import { readSigned, verifySheet } from './signed.ts';
import { jobIn, oldFiles } from './test/old-files.ts';

const { names, read } = oldFiles(2);
/** Keys anywhere in a document. */
function keysIn(value: unknown): string[] {
	if (typeof value !== 'object' || value === null) return [];
	return Object.entries(value).flatMap(([key, inner]) => [key, ...keysIn(inner)]);
}

describe.each(names)('%s of version 2', (name) => {
	const text = read(`jobs/${name}`);
	it('opens, is written as version 3, and opens again unchanged', () => {
		const job = jobIn(text);
		expect(job.version).toBe(3);
		expect(keysIn(JSON.parse(text))).toContain('sort');
		expect(keysIn(job)).not.toContain('sort');
		expect(jobIn(writeJob(job))).toEqual(job);
	});
	it('signed, verifies, and every figure, state and open item is the one that was signed', () => {
		const signed = verifySheet(read(`signed/${name}`), sheetCrypto);
		if (!signed.ok) throw new Error(JSON.stringify(signed.problem));
		expect(signed.signed.version).toBe(3);
		expect(signed).toMatchObject({ same: true, differences: [], signer: 'unknown' });
	});
	it('is read from the shop’s records in the current names, with its job as it was signed', () => {
		const signed = readSigned(read(`signed/${name}`));
		expect(keysIn({ ...signed, job: null })).not.toContain('sort');
		expect(signed.job).toEqual((JSON.parse(read(`signed/${name}`)) as { job: unknown }).job);
	});
	it('is rejected after one digit of it was changed', () => {
		const sheet = read(`signed/${name}`);
		const changed = sheet.replace('"revision":1', '"revision":2');
		expect(changed).not.toBe(sheet);
		expect(verifySheet(changed, sheetCrypto).ok).toBe(false);
	});
});

it('what was accepted about the fit of parts stays accepted', () => {
	const { fit } = evaluate(jobIn(read('jobs/2405-flat-six.json')));
	const mixed = fit.filter(({ rule, outcome }) => rule === 'one-maker' && outcome === 'fails');
	expect(mixed.length).toBeGreaterThan(0);
	expect(mixed.every(({ acceptance }) => acceptance !== null)).toBe(true);
});

it('parts and kits files open, and are written as version 3', () => {
	const parts = readParts(read('parts.json'));
	if (!parts.ok) throw new Error(JSON.stringify(parts.problems));
	expect(readParts(writeParts(parts.value))).toEqual(parts);
	expect(parts.value).toHaveLength((JSON.parse(read('parts.json')) as { parts: [] }).parts.length);
	const kits = readKits(read('kits.json'));
	if (!kits.ok) throw new Error(JSON.stringify(kits.problems));
	expect(readKits(writeKits(kits.value))).toEqual(kits);
	expect(writeKits(kits.value)).toContain('"version": 3');
});
