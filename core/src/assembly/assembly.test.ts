import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../evaluation/index.ts';
import { readJob } from '../document/file.ts';
import type { AssemblyStep, Job } from '../document/index.ts';
import { keyOf } from '../message/index.ts';
import { doneSteps, halfBuilt, inWay, firstMissingPrerequisite, nextStep } from './progress.ts';
import { assemblySteps, lockHalves, type Step } from './steps.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const six = read.value;
const stepsOf = (job: Job) => assemblySteps(job, evaluate(job));
const of = (steps: readonly Step[], place: string) => steps.filter((step) => step.place === place);
const said = (step: Step | undefined) => (step ? keyOf(step.text) : '');
const entry = (step: Step, minute: number, done = true): AssemblyStep => ({
	id: `${minute}`,
	place: step.place,
	step: step.step,
	done,
	person: 'x',
	at: new Date(Date.UTC(2026, 2, 1, 8, minute)).toISOString()
});
/** The job with a part of both kinds, or of one station, changed. */
const withKinds = (
	change: (kind: Job['setup']['kinds']['intake']) => object,
	more: object = {}
): Job => {
	const { intake, exhaust } = six.setup.kinds;
	const kinds = {
		intake: { ...intake, ...change(intake) },
		exhaust: { ...exhaust, ...change(exhaust) }
	};
	return { ...six, setup: { ...six.setup, kinds, ...more } };
};
const names = (steps: readonly Step[]) => steps.map(({ step }) => step);

describe('the steps of a station', () => {
	it('follow the order of the bench', () => {
		expect(
			names(
				of(
					stepsOf(withKinds(({ seal }) => ({ seal: { ...seal, installOrder: 'valve-first' } }))),
					'3E'
				)
			)
		).toEqual([
			'locator',
			'stem',
			'sleeve',
			'valve',
			'seal',
			'seal-height',
			'spring',
			'retainer',
			'compress',
			'locks',
			'release',
			'tap',
			'look'
		]);
	});
	it('put the seal before the valve where the seal wants it, the locator always before the seal', () => {
		const job = withKinds(({ seal }) => ({
			seal: { ...seal, name: 'Seal', installOrder: 'seal-first' }
		}));
		const own = names(of(stepsOf(job), '3E'));
		expect(own.slice(0, 6)).toEqual(['locator', 'seal', 'seal-height', 'stem', 'sleeve', 'valve']);
	});
	it('name the shims of the plan, thickest against the head', () => {
		const job = {
			...six,
			stations: six.stations.map((one) =>
				one.label === '3E' ? { ...one, shims: ['0.015 in', '0.030 in'], spring: 'T7' } : one
			)
		};
		const own = of(stepsOf(job), '3E');
		expect(said(own[0])).toMatch(/^step\.locator \{"shims":\[0\.762,0\.381\]/);
		expect(said(own.find(({ step }) => step === 'spring'))).toContain('"tag":"T7"');
		expect(said(of(stepsOf(six), '1I')[0])).toMatch(/^step\.locator \{"shims":\[\]/);
	});
	it('say which way up a spring goes, and what home means for a seal', () => {
		const job = withKinds(({ spring, seal }) => ({
			spring: { ...spring, build: 'conical', progressive: true, markedTop: true },
			seal: { ...seal, name: 'Seal', bottomsOn: 'guide' }
		}));
		const own = of(stepsOf(job), '1I');
		const spring = said(own.find(({ step }) => step === 'spring'));
		expect(spring).toContain('["small-end-up","close-coils-down","marked-end-up"]');
		expect(said(own.find(({ step }) => step === 'seal'))).toBe('step.seal {"bottomsOn":"guide"}');
	});
	it('warn of the stored energy where the spring is compressed', () => {
		const compress = of(stepsOf(six), '1I').find(({ step }) => step === 'compress')!;
		expect(compress.energy).toBeGreaterThan(5);
		expect(said({ ...compress, text: compress.caution! })).toBe('caution.compress');
	});
});

describe('a head in the car', () => {
	const job = { ...six, setup: { ...six.setup, workLocation: 'vehicle' as const } };
	it('has the air line before the first lock and after the last, cylinder by cylinder', () => {
		const steps = stepsOf(job);
		expect(names(of(steps, 'cylinder 2'))).toEqual([
			'dead-centre',
			'crankshaft',
			'air',
			'rags',
			'air-off'
		]);
		const locator = of(steps, '2I')[0]!;
		expect(locator.needs).toEqual(['cylinder 2 rags']);
		expect(of(steps, 'cylinder 2')[4]!.needs.toSorted()).toEqual(['2E look', '2I look']);
		expect(of(steps, 'cylinder 2')[0]!.needs).toEqual(['cylinder 1 air-off']);
		expect(said(of(steps, 'cylinder 2')[2])).toBe('step.air');
	});
	it('on the bench has none of it', () => {
		expect(stepsOf(six).some(({ place }) => place.startsWith('cylinder'))).toBe(false);
	});
});

describe('progress', () => {
	const steps = stepsOf(six);
	const [count, ...rest] = steps as [Step, ...Step[]];
	it('nothing comes before the locks are counted out', () => {
		expect(nextStep(steps, doneSteps(steps, []))).toBe(count);
		expect(firstMissingPrerequisite(rest[0]!, steps, new Map())).toBe(count);
		expect(said(count)).toBe(`step.count-out {"halves":${lockHalves(six)}}`);
	});
	it('what must not be skipped cannot be: no seal before its locator', () => {
		const done = doneSteps(steps, [entry(count, 0)]);
		const seal = of(steps, '1I').find(({ step }) => step === 'seal')!;
		expect(firstMissingPrerequisite(seal, steps, done)).not.toBeNull();
		expect(firstMissingPrerequisite(of(steps, '1I')[0]!, steps, done)).toBeNull();
	});
	it('resumes where it stood, by station or by step', () => {
		const done = doneSteps(steps, [entry(count, 0), entry(of(steps, '1I')[0]!, 1)]);
		expect(nextStep(inWay(steps, 'by-station'), done)!.key).toBe('1I stem');
		expect(nextStep(inWay(steps, 'by-step'), done)!.step).toBe('locator');
		expect(halfBuilt(steps, done)).toEqual(['1I']);
	});
	it('by step goes through every station before the next step', () => {
		const way = inWay(steps, 'by-step').filter(({ place }) => place !== 'job');
		expect(new Set(way.slice(0, 12).map(({ step }) => step))).toEqual(new Set(['locator']));
		expect(way).toHaveLength(steps.length - 2);
	});
	it('a step undone takes the later ones of its station with it', () => {
		const own = of(steps, '1I');
		const entries = [entry(count, 0), ...own.slice(0, 5).map((step, i) => entry(step, i + 1))];
		const done = doneSteps(steps, [...entries, entry(own[1]!, 20, false)]);
		expect([...done.keys()]).toEqual([count.key, own[0]!.key]);
	});
	it('is whole when everything is done, with nothing half built', () => {
		const all = doneSteps(
			steps,
			steps.map((step, i) => entry(step, i))
		);
		expect(all.size).toBe(steps.length);
		expect(nextStep(steps, all)).toBeNull();
		expect(halfBuilt(steps, all)).toEqual([]);
	});
});
