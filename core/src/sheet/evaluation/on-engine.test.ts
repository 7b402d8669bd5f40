import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { keyOf, message } from '../../foundation/message/index.ts';
import { lengthOf } from '../../foundation/units/index.ts';
import { evaluate } from './evaluate.ts';
import { readJob } from '../../job/document/file.ts';
import { stagesOf } from '../../signing/stages/index.ts';
import type { Job, Reading } from '../../job/document/index.ts';

const load = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const six = load('2417-straight-six');
const marine = load('2421-marine-v8');
let count = 0;
const reading = (job: Job, more: Partial<Reading>): Reading => ({
	...six.readings[0]!,
	id: `0197a888-0000-7000-8000-${String(++count).padStart(12, '0')}`,
	station: job.stations[0]!.label,
	person: job.people[0]?.id ?? six.readings[0]!.person,
	gauge: { name: 'feelers', resolution: '0.001 in', correction: '0 mm' },
	at: `2027-03-20T08:00:${String(count).padStart(2, '0')}Z`,
	...more
});
const withReadings = (job: Job, ...more: Partial<Reading>[]): Job => ({
	...job,
	readings: [...job.readings, ...more.map((one) => reading(job, one))]
});
const first = (job: Job) => evaluate(job).stations[0]!;

describe('a measured lash', () => {
	it('counts in net lift and open load at once', () => {
		const open = (lash: string) =>
			first(withReadings(six, { quantity: 'lash', read: lash, engine: 'cold' })).figures.openLoad
				.figure!;
		const { rate, lift } = first(six).shared;
		const byRate = rate! * lengthOf('0.010 in');
		expect(open('0.014 in')).toBeCloseTo(first(six).figures.openLoad.figure!, 6);
		expect(open('0.004 in') - open('0.014 in')).toBeCloseTo(byRate, 0);
		expect(lift!.gross - lift!.net).toBeCloseTo(lengthOf('0.014 in'), 9);
	});
	it('read in the other state of the engine leaves the setting in force', () => {
		const hot = withReadings(six, { quantity: 'lash', read: '0.004 in', engine: 'hot' });
		expect(first(hot).figures.openLoad.figure).toBeCloseTo(first(six).figures.openLoad.figure!, 9);
	});
	it('found moved since it was set is said, and stands open for the sheet', () => {
		const job = withReadings(
			six,
			{ quantity: 'lash', read: '0.014 in', engine: 'cold', lash: { as: 'set', marked: true } },
			{ quantity: 'lash', read: '0.021 in', engine: 'cold', lash: { as: 'found', marked: false } }
		);
		const station = first(job);
		expect(station.lashDrift).toBeCloseTo(lengthOf('0.007 in'), 9);
		expect(station.remarks.map(({ state, text }) => [state, keyOf(text)])).toContainEqual([
			'stop',
			'lash.opened {"by":0.178}'
		]);
	});
});

describe('hydraulic preload', () => {
	const wanted: Job = {
		...marine,
		setup: {
			...marine.setup,
			kinds: {
				intake: { ...marine.setup.kinds.intake, preload: '0.030 in' },
				exhaust: { ...marine.setup.kinds.exhaust, preload: '0.030 in' }
			}
		}
	};
	const set = (read: string) =>
		first(withReadings(wanted, { quantity: 'preload', read })).figures.preload!;
	it('is judged by what is wanted, within the shop’s band', () => {
		expect(set('0.040 in').state).toBe('clear');
		expect(set('0.041 in').state).toBe('watch');
		expect(keyOf(set('0.050 in').remedy!)).toBe('preload.off {"preload":1.27,"setting":0.762}');
	});
	it('is not measured until it is, and has no verdict without a wanted figure', () => {
		expect(first(wanted).figures.preload).toBeNull();
		const kinds = {
			intake: { ...marine.setup.kinds.intake, preload: undefined },
			exhaust: marine.setup.kinds.exhaust
		};
		const unknown = withReadings(
			{ ...marine, setup: { ...marine.setup, kinds } },
			{ quantity: 'preload', read: '0.03 in' }
		);
		expect(first(unknown).figures.preload!.state).toBe('not-measured');
		expect(
			first(withReadings(six, { quantity: 'preload', read: '0.03 in' })).figures.preload
		).toBeNull();
	});
	it('is what the rail counts for a hydraulic engine', () => {
		const one = withReadings(wanted, { quantity: 'preload', read: '0.030 in' });
		const stage = stagesOf(one, evaluate(one)).find(({ name }) => name === 'lash');
		expect(stage!.note).toEqual(message('stage.of', { done: 1, of: 16 }));
	});
});
