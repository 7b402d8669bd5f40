/** The straight six come back: what was changed in its readings is what is told. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import { testerRatio, type Job, type Reading } from '../../../job/document/index.ts';
import { isBeyond } from '../../comparison/index.ts';
import { inCommon, loadsInCommon } from './common.ts';
import { visitComparison } from './visit-comparison.ts';

const read = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const signed = read.value;

/** The job with so many mm more in readings of a quantity, on this gauge. */
function moved(
	by: (reading: Reading) => number,
	gauge: (reading: Reading) => Reading['gauge'] = ({ gauge: own }) => own
): Job {
	return {
		...signed,
		readings: signed.readings.map((reading) => {
			const [digits, unit] = reading.read.split(' ');
			const per = unit === 'in' ? 25.4 : 1;
			return {
				...reading,
				read: `${(Number(digits) + by(reading) / per).toFixed(5)} ${unit}`,
				gauge: gauge(reading)
			};
		})
	};
}
const at = (back: Job, station: string) =>
	visitComparison(signed, back).find((one) => one.station === station)!;
const lash = (read: string, as: 'found' | 'set', minute: number): Reading => ({
	...signed.readings[0]!,
	id: `b5a1a3c0-0000-7000-8000-0000000000${String(minute).padStart(2, '0')}`,
	station: '1I',
	quantity: 'lash',
	read,
	lash: { as, marked: false },
	at: `2026-11-20T08:${String(minute).padStart(2, '0')}:00.000Z`
});

/** The job with its lifts read at two valves. */
const lifted = (intake: string): Job => ({
	...signed,
	readings: [
		...signed.readings,
		...(['1I', '2I'] as const).map((station, i): Reading => {
			const { lash: _, ...base } = lash('0', 'set', 50 + i);
			return {
				...base,
				station,
				quantity: 'valve-lift',
				read: station === '1I' ? intake : '0.560 in'
			};
		})
	]
});

describe('a head then and now', () => {
	it('names a worn lobe by the lift that fell, and no other', () => {
		const moved = visitComparison(lifted('0.560 in'), lifted('0.540 in'));
		const worn = moved.find(({ station }) => station === '1I')!;
		expect(worn.moved.lift!.change.by).toBeCloseTo(-0.508, 6);
		expect(worn.happened!.explanations[0]!.happened).toMatchObject([{ happening: 'lobe-worn' }]);
		const [sound] = moved.find(({ station }) => station === '2I')!.happened!.explanations;
		expect(sound!.happened).toEqual([]);
		const rockers = structuredClone(lifted('0.540 in'));
		rockers.setup.kinds.intake.rocker!.name = 'another';
		// Another rocker lifts otherwise by itself.
		const other = visitComparison(lifted('0.560 in'), rockers);
		expect(other.find(({ station }) => station === '1I')!.moved.lift).toBeUndefined();
	});
	it('has nothing to tell where nothing moved', () => {
		for (const { moved: all, happened, losses } of visitComparison(signed, signed)) {
			expect(Object.values(all).some(({ change }) => isBeyond(change))).toBe(false);
			expect(happened!.explanations).toEqual([{ happened: [], left: 0 }]);
			expect(losses).toBeNull();
		}
	});
	it('tells a sunk seat by height and seal gap together, with what would part it from others', () => {
		const back = moved(({ station }) => (station === '3I' ? 0.4 : 0));
		const { moved: all, happened } = at(back, '3I');
		expect(all.height!.change.by).toBeCloseTo(0.4, 3);
		expect(all['seal-gap']!.change.by).toBeCloseTo(0.4, 3);
		expect(isBeyond(all.height!.change)).toBe(true);
		const happenings = happened!.explanations.flatMap((one) =>
			one.happened.map(({ happening }) => happening)
		);
		expect(happenings).toEqual(
			expect.arrayContaining(['seat-sank', 'stem-stretched', 'locks-pulled'])
		);
		expect(happened!.parts).not.toBeNull();
		expect(at(back, '2I').happened!.explanations[0]!.happened).toEqual([]);
	});
	it('takes shims off that were put under since', () => {
		const stations = signed.stations.map((one) =>
			one.label === '2I' ? { ...one, shims: ['0.030 in'] } : one
		);
		const { height } = at({ ...signed, stations }, '2I').moved;
		expect(height!.change.by).toBeCloseTo(0, 6);
	});
	it('compares nothing over another part', () => {
		const { intake } = signed.setup.kinds;
		const retainer = { ...intake.retainer!, name: 'Another' };
		const kinds = { ...signed.setup.kinds, intake: { ...intake, retainer } };
		const { moved: all } = at({ ...signed, setup: { ...signed.setup, kinds } }, '1I');
		expect(all.height).toBeUndefined();
		expect(all['seal-gap']).toBeUndefined();
	});
	it('counts lash only as it was found, before it was turned', () => {
		const then = { ...signed, readings: [...signed.readings, lash('0.014 in', 'set', 1)] };
		const found = [lash('0.024 in', 'found', 2), lash('0.014 in', 'set', 3)];
		const of = (readings: Reading[]) =>
			visitComparison(then, { ...signed, readings: [...signed.readings, ...readings] }).find(
				({ station }) => station === '1I'
			)!.moved.lash;
		expect(of(found)!.change.by).toBeCloseTo(0.254, 3);
		expect(of([lash('0.014 in', 'set', 3), lash('0.014 in', 'found', 4)])).toBeUndefined();
	});
	it('shows apart what all moved by on another gauge, and forgives none of it', () => {
		const other = moved(
			({ quantity }) => (quantity === 'installed-height' ? 0.12 : 0),
			({ gauge }) => ({ ...gauge, name: 'Another height gauge' })
		);
		const stations = visitComparison(signed, other);
		const [common, ...rest] = inCommon(stations);
		expect(common!.trace).toBe('height');
		expect(common!.by).toBeCloseTo(0.12, 3);
		expect(rest).toEqual([]);
		expect(stations.every(({ moved: all }) => isBeyond(all.height!.change))).toBe(true);
		expect(
			inCommon(
				visitComparison(
					signed,
					moved(() => 0.12)
				)
			)
		).toEqual([]);
	});
});

describe('springs on another tester', () => {
	const demo = (name: string): Job => {
		const job = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
		if (!job.ok) throw new Error(name);
		return job.value;
	};
	const [then, back] = [demo('2403-circuit-six'), demo('2423-circuit-six-back')];
	const withReference = (reference: { then: string; now: string } | undefined): Job => ({
		...back,
		looks: [
			...back.looks,
			{
				...back.looks[0]!,
				id: 'b5a1a3c0-0000-7000-8000-000000000099',
				check: 'gauge-reference',
				seen: [],
				...(reference && { reference })
			}
		]
	});
	const look = (job: Job) => {
		const stations = visitComparison(then, job);
		return { loads: loadsInCommon(stations, testerRatio(job))!, stations };
	};
	const sagAt = (job: Job, label: string) => {
		const { load } = look(job).stations.find(({ station }) => station === label)!.moved;
		return -load!.change.by / load!.then.value;
	};
	it('are either’s until figures of a reference are there, whatever was looked at', () => {
		for (const job of [back, withReference(undefined)]) {
			expect(look(job).loads).toMatchObject({ cause: 'either', reference: null });
			expect(look(job).loads.ratio).toBeCloseTo(0.965, 3);
			expect(sagAt(job, '1I')).toBeCloseTo(0.035, 3);
		}
	});
	it('have what a reference read otherwise taken off, and no more than that', () => {
		const tester = withReference({ then: '600 N', now: '580 N' });
		expect(look(tester).loads.cause).toBe('tester');
		expect(look(tester).loads.ratio).toBeCloseTo(0.965, 3);
		expect(sagAt(tester, '1I')).toBeCloseTo(0.0017, 3);
		expect(sagAt(tester, '4E')).toBeCloseTo(0.096, 2);
		const alike = withReference({ then: '600 N', now: '600 N' });
		expect(look(alike).loads.cause).toBe('sag');
		expect(sagAt(alike, '1I')).toBeCloseTo(0.035, 3);
	});
});
