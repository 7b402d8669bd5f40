/** Files of the release before: they open, come to the same figures to the last digit, and verify. */
import { describe, expect, it } from 'vitest';
import { checkJob, writeJob } from '../../job/document/file.ts';
import { VERSION } from '../../job/document/schema.ts';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { openItems } from '../open-items/index.ts';
import { readParts, writeParts } from '../../parts/part/file.ts';
import { sheetCrypto } from './node.ts';
import { verifySheet } from './signed.ts';
import { figureOfVersion1 } from './version-1.ts';
import { jobIn, oldFiles } from './test/old-files.ts';

type Station = Parameters<typeof figureOfVersion1>[0];

const { names, read } = oldFiles(1);

/** Everything that the version before wrote and that may not change by a letter. */
const kept = (job: Record<string, unknown>) =>
	JSON.stringify(
		(job.readings as Record<string, unknown>[]).map(({ id, read, gauge, inPlace, person, at }) => ({
			id,
			read,
			gauge,
			inPlace,
			person,
			at
		}))
	);

/**
 * What is judged otherwise since: where a gauge's repeatability or its check was not known, or a
 * load was taken to be as sure as its height, the interval was too narrow.
 */
const JUDGED_OTHERWISE: Readonly<Record<string, readonly string[]>> = {
	'2426-placed-springs.json': ['3I height: stop → inconclusive']
};

describe.each(names)('%s of version 1', (name) => {
	const text = read(`jobs/${name}`);
	it('opens, is written in the current version, and opens again unchanged', () => {
		const job = jobIn(text);
		expect(job.version).toBe(VERSION);
		expect(jobIn(writeJob(job))).toEqual(job);
	});
	it('keeps value, gauge, person and time of each reading to the letter', () => {
		expect(kept(jobIn(text))).toBe(kept(JSON.parse(text) as Record<string, unknown>));
	});
	it('signed, verifies as it was signed, and names what is judged otherwise since', () => {
		const signed = verifySheet(read(`signed/${name}`), sheetCrypto);
		if (!signed.ok) throw new Error(JSON.stringify(signed.problem));
		const { job, sheet } = signed.signed as unknown as {
			job: unknown;
			sheet: { stations: Station[] };
		};
		const now = new Map(
			evaluate(jobIn(JSON.stringify(job))).stations.map(({ label, figures }) => [label, figures])
		);
		const stations = new Map(sheet.stations.map((station) => [station.label, station]));
		const changed = signed.differences.flatMap(({ station, figure }) => {
			const was = figureOfVersion1(stations.get(station)!, figure)!;
			const is = now.get(station)![figure]!;
			// The figure itself is the same to the last digit, and no interval became narrower.
			expect([station, figure, is.figure]).toEqual([station, figure, was.figure]);
			expect(is.uncertainty).toBeGreaterThanOrEqual(was.uncertainty);
			return is.state === was.state ? [] : [`${station} ${figure}: ${was.state} → ${is.state}`];
		});
		expect(changed).toEqual(JUDGED_OTHERWISE[name] ?? []);
	});
	it('signed and changed by one figure is rejected', () => {
		const sheet = read(`signed/${name}`);
		const changed = sheet.replace(/"resolution":"0/, '"resolution":"1');
		expect(verifySheet(changed, sheetCrypto).ok).toBe(changed === sheet);
	});
});

describe('what was accepted in version 1', () => {
	it.each(names)('%s stays accepted: stops, what cannot be called, fit', (name) => {
		const signed = verifySheet(read(`signed/${name}`), sheetCrypto);
		const job = checkJob((signed as { signed: { job: unknown } }).signed.job);
		if (!job.ok) throw new Error(JSON.stringify(job.problems));
		const items = openItems(job.value, evaluate(job.value));
		const asked = items.filter(({ severity }) => severity === 'acceptance');
		expect(asked.filter(({ acceptance }) => !acceptance).map(({ key }) => key)).toEqual([]);
	});
	it('no longer counts where the figure is another', () => {
		const job = jobIn(read('jobs/2417-stops.json'));
		for (const check of job.checks) if (check.type === 'vacuum') check.reached = '6 inHg';
		const open = openItems(job, evaluate(job)).filter(
			({ severity, acceptance }) => severity === 'acceptance' && !acceptance
		);
		expect(open.map(({ text }) => text)).toMatchObject([{ params: { figure: 'vacuum' } }]);
	});
});

it('a parts file of version 1 opens and is written in the current version', () => {
	const parts = readParts(read('parts.json'));
	if (!parts.ok) throw new Error(JSON.stringify(parts.problems));
	expect(readParts(writeParts(parts.value))).toEqual(parts);
	expect(parts.value.length).toBe(
		(JSON.parse(read('parts.json')) as { parts: unknown[] }).parts.length
	);
});
