import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { stationsOf } from '../../foundation/station/index.ts';
import { defaultSetup, newJob } from './defaults.ts';
import { keyOf } from '../../foundation/message/index.ts';
import { checkJob, readJob, writeJob } from './file.ts';

const folder = new URL('../../../../demo/jobs/', import.meta.url);
const files = readdirSync(folder).map((name) => readFileSync(new URL(name, folder), 'utf8'));
const text = files.find((file) => file.includes('"2417"'))!;

/** The problems of the demo job after a change to it. */
function problems(change: (job: ReturnType<typeof parse>) => void): string[] {
	const job = parse();
	change(job);
	const read = checkJob(job);
	return read.ok ? [] : read.problems.map((problem) => `${problem.path}: ${keyOf(problem.text)}`);
}
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- files under test are wrong on purpose
const parse = (): any => JSON.parse(text);

describe('a job file', () => {
	it('comes back as it went out, demo jobs all', () => {
		for (const file of files) {
			const read = readJob(file);
			expect(read.ok && writeJob(read.value)).toBe(file);
		}
	});

	it('is a checked job when it is new', () => {
		const layout = {
			arrangement: 'flat',
			cylinders: 6,
			valvesPerCylinder: 4,
			numbering: 'bank-by-bank',
			pairing: 'mirrored'
		} as const;
		const job = newJob({
			id: crypto.randomUUID(),
			number: '1',
			takenIn: '2026-11-24T08:00:00Z',
			customer: { id: crypto.randomUUID(), name: 'A customer' },
			engine: { id: crypto.randomUUID(), name: 'An engine', layout },
			setup: defaultSetup('mm', '')
		});
		expect(checkJob(job).ok).toBe(true);
		expect(job.stations.length).toBe(stationsOf(layout).length);
	});

	it.each([
		[text.slice(0, 4000), 'file.cut-off'],
		[text.slice(0, -2), 'file.cut-off'],
		['', 'file.empty'],
		['hello', 'file.not-json'],
		['[]', 'file.not-object'],
		['{"format":"something"}', 'file.other-format'],
		[text.replace(/"version": \d/, '"version": 4'), 'file.newer']
	])('that is no job file is refused (%#)', (wrong, code) => {
		const read = readJob(wrong);
		expect(read.ok ? '' : read.problems[0]!.text.code).toBe(code);
	});
});

describe('what is wrong in a file is told by its path', () => {
	it('an unknown unit', () => {
		expect(problems((job) => (job.readings[3].read = '1.812 furlong'))[0]).toMatch(
			/^readings\[3\]\.read: field\.not-quantity .*1\.812 furlong/
		);
		expect(problems((job) => (job.setup.kinds.intake.spring.seat.load = '130 psi'))[0]).toMatch(
			/spring\.seat\.load: field\.not-quantity .*"load"/
		);
	});

	it('a reading for a station that does not exist', () => {
		expect(problems((job) => (job.readings[0].station = '9I'))).toEqual([
			'readings[0].station: job.no-station {"station":"9I"}'
		]);
	});

	it('every problem at once', () => {
		const all = problems((job) => {
			job.readings[0].read = '-1.812 in';
			job.setup.limits.bindFloor = 'tight';
			job.stations[1].label = 'X';
		});
		expect(all.length).toBeGreaterThanOrEqual(3);
	});

	it.each([
		['a person nobody knows', 'readings[0].person', (job) => (job.people = [])],
		['a station twice', 'stations[1].label', (job) => (job.stations[1].label = '1I')],
		['a reading twice', 'readings[1].id', (job) => (job.readings[1].id = job.readings[0].id)],
		['a head that is not there', 'stations[0].head', (job) => (job.stations[0].head = 'B')],
		['a strike of nothing', 'voids[0].reading', (job) => (job.voids[0].reading = job.id)],
		[
			'a bind above the seat',
			'setup.kinds.intake.spring.bind',
			(job) => (job.setup.kinds.intake.spring.bind = '2.000 in')
		],
		[
			'an odd V engine',
			'engine.layout.cylinders',
			(job) => Object.assign(job.engine.layout, { arrangement: 'V', cylinders: 5 })
		],
		[
			'an aim below the floor',
			'setup.limits.bindAim',
			(job) => (job.setup.limits.bindAim = '0.040 in')
		],
		['a key nobody knows', ': field.unknown-keys', (job) => (job.colour = 'red')]
	] as [string, string, (job: ReturnType<typeof parse>) => void][])('%s', (_, path, change) => {
		expect(problems(change).some((problem) => problem.startsWith(path))).toBe(true);
	});

	it('tested points whose load falls, or that repeat a height', () => {
		const tested = (points: [string, string][]) =>
			problems((job) => {
				job.setup.kinds.intake.spring.tested = {
					points: points.map(([height, load]) => ({ height, load }))
				};
			});
		expect(
			tested([
				['40 mm', '200 N'],
				['38 mm', '190 N'],
				['36 mm', '300 N']
			])[0]
		).toMatch(/tested\.points\[1\]\.load: spring\.load-falls/);
		expect(
			tested([
				['40 mm', '200 N'],
				['40 mm', '210 N'],
				['36 mm', '300 N']
			])[0]
		).toMatch(/field\.duplicate \{"what":"height"\}/);
	});
});
