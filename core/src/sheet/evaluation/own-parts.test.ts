/** Stations and cylinders with something of their own, tip heights, methods and stages. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { keyOf, message } from '../../foundation/message/index.ts';
import {
	INCH_POUND,
	showLength,
	showLoad,
	type Millimetres
} from '../../foundation/units/index.ts';
import { evaluate } from './evaluate.ts';
import { readJob } from '../../job/document/file.ts';
import { heightsByMethod } from '../figures/index.ts';
import {
	partsByStation,
	partsOf,
	springReferenceLost,
	type Job,
	type Reading
} from '../../job/document/index.ts';
import { stagesOf } from '../../signing/stages/index.ts';

let job: Job;
beforeEach(() => {
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
});
const entry = (label: string) => job.stations.find((station) => station.label === label)!;
const station = (label: string) => evaluate(job).stations.find((one) => one.label === label)!;
const inches = (value: Millimetres | null) =>
	value === null ? null : showLength(value, INCH_POUND);
const tip = (label: string, read: string, change: Partial<Reading['inPlace']> = {}) => {
	const like = job.readings.find(({ quantity }) => quantity === 'installed-height')!;
	job.readings.push({
		...like,
		id: crypto.randomUUID(),
		station: label,
		quantity: 'tip-height',
		read,
		inPlace: { ...like.inPlace, ...change }
	});
};

describe('parts of a station', () => {
	it('are its kind’s very own, until something is its own', () => {
		expect(partsOf(job.setup, entry('1I'))).toBe(job.setup.kinds.intake);
		expect(new Set(partsByStation(job).values()).size).toBe(2);
		entry('1I').parts = { locks: { name: 'Plus', offset: '0.050 in' } };
		expect(partsOf(job.setup, entry('1I')).locks!.offset).toBe('0.050 in');
		expect(partsOf(job.setup, entry('1I')).spring).toBe(job.setup.kinds.intake.spring);
	});
	it('move that station’s figures only', () => {
		// 1.818 + 0.050 = 1.868; the gap grows by as much
		entry('1I').parts = { locks: { name: 'Plus', offset: '0.050 in' } };
		expect(inches(station('1I').figures.height.figure)).toBe('1.868');
		expect(inches(station('1I').figures.sealClearance.figure)).toBe('0.138');
		expect(inches(station('2I').figures.height.figure)).toBe('1.824');
	});
	it('a cylinder with a lift of its own has its own margins and loads', () => {
		// 0.380 × 1.5 = 0.570 instead of 0.540: 0.030 less to bind and to the seal
		const before = station('1I').figures;
		job.setup.overrides = [
			{
				cylinder: 1,
				kind: 'intake',
				lift: { type: 'lobe', lobe: '0.380 in', ratio: 1.5, source: 'card' }
			}
		];
		const after = station('1I').figures;
		expect(inches((before.bindMargin.figure! - after.bindMargin.figure!) as Millimetres)).toBe(
			'0.030'
		);
		expect(
			inches((before.sealClearance.figure! - after.sealClearance.figure!) as Millimetres)
		).toBe('0.030');
		expect(after.openLoad.figure!).toBeGreaterThan(before.openLoad.figure!);
		expect(station('1E').figures.bindMargin).toEqual(
			evaluate(job).stations.find(({ label }) => label === '1E')!.figures.bindMargin
		);
		expect(evaluate(job).fit.some(({ stations }) => stations.includes('1I'))).toBe(true);
	});

	describe('a tagged spring', () => {
		const set = (name: string, tags: string[]) =>
			tags.map((tag) => ({
				tag,
				set: name,
				card: job.setup.kinds.intake.spring!.id,
				points: ['1.820 in', '1.500 in', '1.280 in'].map((height, i) => ({
					height,
					load: `${130 + i * 90} lbf`
				}))
			}));
		const plan = (spring: string) => ({
			id: crypto.randomUUID(),
			proven: true,
			stations: [{ label: '1I', shims: [], spring }],
			person: job.people[0]!.id,
			at: '2026-11-25T10:00:00.000Z'
		});
		const planNote = () => stagesOf(job, evaluate(job)).find(({ name }) => name === 'plan')!.note;

		it('has its own curve where it was placed', () => {
			job.setup.springs = set('First', ['T1', 'T2']);
			entry('1I').spring = 'T2';
			expect(partsOf(job.setup, entry('1I')).spring!.tested!.set).toBe('First, T2');
		});
		it('is lost with its set or its card, not when the same set is tested anew', () => {
			const before = { ...job.setup, springs: set('First', ['T1', 'T2']) };
			entry('1I').spring = 'T2';
			const loses = (change: object) =>
				springReferenceLost(before, { ...before, ...change }, entry('1I'));
			expect(loses({ springs: set('First', ['T2']) })).toBe(false);
			expect(loses({ springs: set('Second', ['T1', 'T2']) })).toBe(true);
			expect(loses({ springs: set('First', ['T1']) })).toBe(true);
			expect(loses({ springs: undefined })).toBe(true);
			const intake = { ...job.setup.kinds.intake, spring: undefined };
			expect(loses({ kinds: { ...job.setup.kinds, intake } })).toBe(true);
			delete entry('1I').spring;
			expect(loses({ springs: undefined })).toBe(false);
		});
		it('that is gone makes the plan that placed it old', () => {
			entry('1I').spring = 'T2';
			job.plans.push(plan('T2'));
			expect(planNote()).toEqual(message('stage.accepted'));
			delete entry('1I').spring;
			expect(planNote()).toEqual(message('stage.springs-since'));
		});
	});
});

describe('tip-height', () => {
	it('is asked of nobody who did not measure it', () => {
		expect(station('1I').figures.tipHeight).toBeNull();
	});
	it('falls with plus locks and grows with a lash cap', () => {
		tip('1I', '0.140 in');
		expect(inches(station('1I').tipHeight)).toBe('0.140');
		job.setup.kinds.intake.locks!.offset = '0.050 in';
		expect(inches(station('1I').tipHeight)).toBe('0.090');
		job.setup.kinds.intake.lashCap = { name: 'Cap', thickness: '0.060 in' };
		expect(inches(station('1I').tipHeight)).toBe('0.150');
	});
	it('measured over a cap counts the cap once', () => {
		job.setup.kinds.intake.lashCap = { name: 'Cap', thickness: '0.060 in' };
		tip('1I', '0.200 in', { lashCap: '0.060 in' });
		expect(inches(station('1I').tipHeight)).toBe('0.200');
	});
	it('stops a rail rocker when it is short, and a buried tip always', () => {
		tip('1I', '0.070 in');
		expect(station('1I').figures.tipHeight!.state).toBe('clear');
		job.setup.kinds.intake.rocker = { name: 'Rail', ratio: 1.5, nose: 'rail' };
		expect(station('1I').figures.tipHeight!.state).toBe('stop');
		job.setup.kinds.intake.rocker = { name: 'Roller', ratio: 1.5, nose: 'roller-tip' };
		job.setup.kinds.intake.locks!.offset = '0.100 in';
		expect(station('1I').figures.tipHeight!.state).toBe('stop');
	});
});

describe('the methods side by side', () => {
	it('aim where each would, with the job’s own figure for its own method', () => {
		const kind = evaluate(job).kinds.intake;
		const methods = heightsByMethod(kind, job.setup.kinds.intake);
		expect(inches(methods['card-height'].height)).toBe('1.820');
		// bind 1.150, lift 0.540, cushion 0.060
		expect(inches(methods['bind-cushion'].height)).toBe('1.750');
		expect(inches(methods['seat-load'].height)).toBe('1.820');
		expect(methods['as-it-stands'].height).toBeNull();
		job.setup.kinds.intake.aim = { method: 'bind-cushion', cushion: '0.080 in' };
		const own = heightsByMethod(evaluate(job).kinds.intake, job.setup.kinds.intake);
		expect(inches(own['bind-cushion'].height)).toBe('1.770');
	});
	it('say why there is no aim without a spring', () => {
		delete job.setup.kinds.intake.spring;
		const methods = heightsByMethod(evaluate(job).kinds.intake, job.setup.kinds.intake);
		expect(Object.values(methods).every(({ height }) => height === null)).toBe(true);
		expect(methods['card-height'].because).toEqual(
			message('needs', { of: [message('need.spring')] })
		);
	});
});

describe('the parts stage', () => {
	const parts = () => stagesOf(job, evaluate(job)).find(({ name }) => name === 'parts')!;
	it('goes from no spring over stops and watches to what is accepted', () => {
		expect(parts()).toMatchObject({
			done: true,
			note: message('stage.fit-accepted', { count: 2 })
		});
		job.acceptances = [];
		expect(parts()).toMatchObject({
			done: false,
			blocks: false,
			note: message('stage.fit-to-accept', { count: 2 })
		});
		job.setup.kinds.intake.locks!.angle = 7;
		expect(parts()).toMatchObject({
			blocks: true,
			note: message('stage.fit-at-stop', { count: 1 })
		});
		delete job.setup.kinds.exhaust.spring;
		expect(parts()).toMatchObject({
			blocks: true,
			note: message('of-kind', { kind: 'exhaust', says: message('stage.no-spring') })
		});
	});
	it('is not done while something is not known', () => {
		delete job.setup.kinds.intake.valve!.groove;
		expect(parts().done).toBe(false);
		expect(parts().note?.code).toBe('stage.fit-not-known');
	});
});

describe('a spring that was tested', () => {
	it('and is not the one on the job is a stop on the job', () => {
		const card = job.setup.kinds.intake.spring!;
		card.tested = {
			points: [
				{ height: '2.000 in', load: '60 lbf' },
				{ height: '1.600 in', load: '200 lbf' },
				{ height: '1.200 in', load: '340 lbf' }
			],
			mismatch: 'another'
		};
		const { remarks, kinds } = evaluate(job);
		expect(remarks[0]).toMatchObject({ state: 'stop' });
		expect(keyOf(remarks[0]!.text)).toContain('"matches":"another"');
		expect(kinds.intake.curve!.from).toBe('tested');
		expect(showLoad(station('1I').figures.seatLoad.figure!, INCH_POUND)).toBe('124');
	});
});
