import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../sheet/evaluation/index.ts';
import { readJob } from '../job/document/file.ts';
import type { AssemblyStep, Job } from '../job/document/index.ts';
import { keyOf } from '../foundation/message/index.ts';
import { openItems } from '../signing/open-items/index.ts';
import { assemblyOf, isBegun } from './of-job.ts';
import {
	alike,
	doneSteps,
	halfBuilt,
	inWay,
	firstMissingPrerequisite,
	leaking,
	nextStep
} from './progress.ts';
import { CHECKING_SPRING, checkingSprings } from './checking-springs.ts';
import { sealHeights } from './seal-height.ts';
import type { Step } from './step.ts';
import { assemblySteps, lockHalves } from './steps.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const six = read.value;
const stepsOf = (job: Job) => assemblySteps(job, evaluate(job));
const of = (steps: readonly Step[], place: string) => steps.filter((step) => step.place === place);
const textOf = (step: Step | undefined) => (step ? keyOf(step.text) : '');
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
		expect(textOf(own[0])).toMatch(/^step\.locator \{"shims":\[0\.762,0\.381\]/);
		expect(textOf(own.find(({ step }) => step === 'spring'))).toContain('"tag":"T7"');
		expect(textOf(of(stepsOf(six), '1I')[0])).toMatch(/^step\.locator \{"shims":\[\]/);
	});
	it('say which way up a spring goes, and what home means for a seal', () => {
		const job = withKinds(({ spring, seal }) => ({
			spring: { ...spring, build: 'conical', progressive: true, markedTop: true },
			seal: { ...seal, name: 'Seal', bottomsOn: 'guide' }
		}));
		const own = of(stepsOf(job), '1I');
		const spring = textOf(own.find(({ step }) => step === 'spring'));
		expect(spring).toContain('["small-end-up","close-coils-down","marked-end-up"]');
		expect(textOf(own.find(({ step }) => step === 'seal'))).toBe('step.seal {"bottomsOn":"guide"}');
	});
	it('warn of the stored energy where the spring is compressed', () => {
		const compress = of(stepsOf(six), '1I').find(({ step }) => step === 'compress')!;
		expect(compress.energy).toBeGreaterThan(5);
		expect(textOf({ ...compress, text: compress.caution! })).toBe('caution.compress');
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
		const [strip] = of(steps, '2I');
		expect(strip).toMatchObject({ step: 'strip-compress', needs: ['cylinder 2 rags'] });
		expect(of(steps, 'cylinder 2')[4]!.needs.toSorted()).toEqual(['2E look', '2I look']);
		expect(of(steps, 'cylinder 2')[0]!.needs).toEqual(['cylinder 1 air-off']);
		expect(textOf(of(steps, 'cylinder 2')[2])).toBe('step.air');
	});
	it('is stripped, looked at and measured under the air, and its valve stays where it is', () => {
		const own = names(of(stepsOf(job), '6E'));
		expect(own.slice(0, 7)).toEqual([
			'strip-compress',
			'strip-locks',
			'strip-spring',
			'strip-look',
			'measure',
			'choose',
			'locator'
		]);
		expect(own).not.toContain('valve');
		expect(own).not.toContain('stem');
		expect(own).toContain('sleeve');
	});
	it('has a station measured by its reading alone, and one that was built before not stripped again', () => {
		const sheet = evaluate(job);
		expect(assemblyOf(job, sheet).done.size).toBe(0);
		const strip = (place: string) => entry(of(stepsOf(job), place)[0]!, 1);
		const begun = { ...job, assembly: [strip('1I'), strip('6E')] };
		const { done } = assemblyOf(begun, { ...sheet });
		expect(done.get('1I measure')!.id).toBe(sheet.stations[0]!.inForce['installed-height']!.id);
		expect(done.has('6E measure')).toBe(false);
		const built = { ...job, assembly: [entry(of(stepsOf(six), '1I')[0]!, 1)] };
		expect(names(of(stepsOf(built), '1I'))[0]).toBe('locator');
		expect(names(of(stepsOf(built), '1E'))[0]).toBe('strip-compress');
	});
	it('stops at a leak, keeps what was done under the air, and goes on once it is proved again', () => {
		const steps = stepsOf(job);
		const upTo = steps.findIndex(({ key }) => key === '1E strip-spring');
		const ticks = steps.slice(0, upTo).map((step, i) => entry(step, i));
		const air = steps.find(({ key }) => key === 'cylinder 1 air')!;
		const fell = { ...entry(air, 50, false), leaks: true as const };
		const done = doneSteps(steps, [...ticks, fell]);
		expect(done.has('1I release')).toBe(true);
		expect(nextStep(steps, done)).toBe(air);
		const next = steps[upTo]!;
		expect(firstMissingPrerequisite(next, steps, done)).toBe(air);
		expect(leaking([...ticks, fell])).toEqual(new Set(['cylinder 1']));
		const open = openItems({ ...job, assembly: [...ticks, fell] }, evaluate(job));
		expect(open.find(({ key }) => key === 'leaks cylinder 1')).toMatchObject({
			place: 'cylinder 1',
			severity: 'blocking'
		});
		const again = [...ticks, fell, entry(air, 51)];
		expect(leaking(again).size).toBe(0);
		expect(firstMissingPrerequisite(next, steps, doneSteps(steps, again))).toBeNull();
	});
	it('is not handed over while a lock half is missing', () => {
		const steps = stepsOf(job);
		const upTo = steps.findIndex(({ key }) => key === '1I strip-spring');
		const assembly = steps
			.slice(0, upTo)
			.map((step, i) => ({ ...entry(step, i), ...(step.counts && { count: 1 }) }));
		const blocking = (of: AssemblyStep[]) =>
			openItems({ ...job, assembly: of }, evaluate(job)).filter(({ key }) =>
				key.startsWith('locks')
			);
		expect(blocking(assembly)).toMatchObject([{ place: '1I', severity: 'blocking' }]);
		expect(blocking(assembly.map((one) => ({ ...one, count: 2 })))).toEqual([]);
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
		expect(textOf(count)).toBe(`step.count-out {"halves":${lockHalves(six)}}`);
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

describe('caps, faces, seal heights', () => {
	const lashCap = { name: 'Cap 8', thickness: '0.080 in' };
	it('a cap goes on last, before the look; one that the locks hold goes in with them', () => {
		const capped = withKinds(({ locks }) => ({ lashCap, locks: { ...locks, capSeat: 'recess' } }));
		const steps = of(stepsOf(capped), '3E');
		expect(names(steps).slice(-3)).toEqual(['tap', 'lash-cap', 'look']);
		const captive = withKinds(({ locks }) => ({
			lashCap,
			locks: { ...locks, capSeat: 'captive' }
		}));
		const held = of(stepsOf(captive), '3E');
		expect(names(held)).not.toContain('lash-cap');
		expect(textOf(held.find(({ step }) => step === 'locks'))).toContain('"cap":"Cap 8"');
	});
	it('a station that was finished before its cap was asked for is not asked for it now', () => {
		const capped = withKinds(() => ({ lashCap }));
		const before = of(stepsOf(capped), '1I').filter(({ step }) => step !== 'lash-cap');
		const finished = { ...capped, assembly: before.map((step, i) => entry(step, i)) };
		expect(names(of(stepsOf(finished), '1I'))).not.toContain('lash-cap');
		expect(names(of(stepsOf(finished), '2I'))).toContain('lash-cap');
	});
	it('say which face goes up, of locator, shim and retainer', () => {
		const faced = withKinds(
			({ locator, retainer }) => ({
				locator: { ...locator, faceUp: 'cup up' },
				retainer: { ...retainer, faceUp: 'letters up' }
			}),
			{ shimFaceUp: 'chamfer down' }
		);
		faced.stations = faced.stations.map((one) => ({ ...one, shims: ['0.030 in'] }));
		const steps = of(stepsOf(faced), '3E');
		expect(textOf(steps.find(({ step }) => step === 'locator'))).toContain(
			'"up":"cup up","shimUp":"chamfer down"'
		);
		expect(textOf(steps.find(({ step }) => step === 'retainer'))).toContain('"up":"letters up"');
	});
	it('a seal that stands off its record is held against the tolerance of the shop', () => {
		const job = withKinds(({ seal }) => ({ seal: { ...seal, name: 'Seal', height: '0.600 in' } }));
		const steps = stepsOf(job);
		const [at] = of(steps, '1I').filter(({ step }) => step === 'seal-height');
		expect(at!.expects).toBeCloseTo(15.24, 6);
		const read = (measured: string) => new Map([[at!.key, { ...entry(at!, 1), measured }]]);
		const heights = (measured: string) => sealHeights(steps, read(measured), 0.25 as never);
		expect(heights('0.609 in')[0]).toMatchObject({ station: '1I', isOff: false });
		expect(heights('0.620 in')[0]).toMatchObject({ isOff: true });
		expect(heights('0.620 in')[0]!.higher).toBeCloseTo(0.508, 6);
		expect(sealHeights(steps, new Map([[at!.key, entry(at!, 1)]]), 0.25 as never)).toEqual([]);
	});
});

describe('several stations at once', () => {
	it('may be marked where the step may be done now, and nowhere else', () => {
		const steps = stepsOf(six);
		const out = steps[0]!;
		const locator = (place: string) => of(steps, place).find(({ step }) => step === 'locator')!;
		expect(alike(locator('1I'), steps, new Map())).toEqual([]);
		const counted = new Map([[out.key, entry(out, 0)]]);
		expect(alike(locator('1I'), steps, counted)).toHaveLength(12);
		const one = new Map([...counted, [locator('3E').key, entry(locator('3E'), 1)]]);
		const left = alike(locator('1I'), steps, one).map(({ place }) => place);
		expect(left).toHaveLength(11);
		expect(left).not.toContain('3E');
		// Its text names its own valve, and is the same otherwise.
		const stem = of(steps, '1I').find(({ step }) => step === 'stem')!;
		const before = steps.filter(({ step }) => step === 'locator');
		const laid = new Map([
			...counted,
			...before.map((step) => [step.key, entry(step, 1)] as const)
		]);
		expect(alike(stem, steps, laid).length).toBeGreaterThan(1);
		// Counting is done once, and never for others.
		expect(alike(out, steps, new Map())).toEqual([]);
	});
	it('never takes a valve with another shim under the mark of one without', () => {
		const job = structuredClone(six);
		for (const station of job.stations) station.shims = station.label === '4E' ? ['0.030 in'] : [];
		const steps = stepsOf(job);
		const out = steps[0]!;
		const counted = new Map([[out.key, entry(out, 0)]]);
		const places = (place: string) =>
			alike(
				of(steps, place).find(({ step }) => step === 'locator')!,
				steps,
				counted
			).map((step) => step.place);
		expect(places('1I')).not.toContain('4E');
		expect(places('1I')).toHaveLength(11);
		expect(places('4E')).toEqual(['4E']);
	});
});

describe('checking springs', () => {
	const tried = (place: string, done: boolean, minute: number): AssemblyStep => ({
		...entry({ place, step: 'look' } as Step, minute, done),
		step: CHECKING_SPRING
	});
	it('are in until they are said to be out', () => {
		const entries = [tried('1I', true, 0), tried('1E', true, 1), tried('1I', false, 2)];
		expect([...checkingSprings(entries)]).toEqual(['1E']);
	});
	it('block the signature, build nothing, and are no step', () => {
		const job = { ...six, assembly: [tried('1I', true, 0)] };
		expect(isBegun(job)).toBe(false);
		expect(assemblyOf(job, evaluate(job)).done.size).toBe(0);
		const item = openItems(job, evaluate(job)).find(({ text }) =>
			keyOf(text).includes('checking')
		)!;
		expect(item).toMatchObject({ place: '1I', severity: 'blocking' });
		const out = { ...six, assembly: [tried('1I', true, 0), tried('1I', false, 1)] };
		expect(openItems(out, evaluate(out)).some(({ text }) => keyOf(text).includes('checking'))).toBe(
			false
		);
	});
});
