import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { message } from '../../foundation/message/index.ts';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { readJob } from './file.ts';
import type { Job } from './schema.ts';
import { inspectionFindings } from '../inspection/index.ts';
import { assemblyMass, massChange, movingMass } from '../../sheet/mass/index.ts';
import { cubicCentimetres, mm, showMass } from '../../foundation/units/index.ts';
import {
	chamberAfter,
	compressionRatio,
	cutEffect,
	deckNearer,
	makesStale,
	sweptVolume,
	type CylinderVolumes
} from './head-work.ts';

const volumes: CylinderVolumes = {
	bore: mm(100),
	stroke: mm(80),
	chamber: cubicCentimetres(60),
	gasket: cubicCentimetres(8),
	deck: cubicCentimetres(2),
	chamberOpen: 0.8
};

describe('compression', () => {
	it('before a cut: 628.3 swept, (628.3 + 70) ÷ 70 = 9.976', () => {
		expect(sweptVolume(mm(100), mm(80))).toBeCloseTo(628.3185, 4);
		expect(compressionRatio(volumes)).toBeCloseTo(9.97598, 5);
	});
	it('after 0.5 mm: 0.5 × 7,854 × 0.8 = 3.1416 cc less, (628.3 + 66.858) ÷ 66.858 = 10.398', () => {
		expect(chamberAfter(volumes, mm(0.5))).toBeCloseTo(56.8584, 4);
		expect(compressionRatio(volumes, mm(0.5))).toBeCloseTo(10.3977, 4);
	});
	it('is not told where nothing would be left above the piston', () => {
		expect(compressionRatio(volumes, mm(20))).toBeNull();
	});
});

describe('a cut at the deck', () => {
	it('comes nearer by head and block, less what the gasket gained', () => {
		expect(deckNearer({ head: mm(0.3), block: mm(0.2), thicker: mm(0.1) })).toBeCloseTo(0.4, 12);
	});
	const engine = { valveAngle: 20, camAt: 'block', lifters: 'solid', ratio: 1.5 } as const;
	it('takes c ÷ cos 20° off piston to valve, and closes solid lash by c × ratio', () => {
		const effect = cutEffect(mm(1), engine);
		expect(effect.pistonToValve).toBeCloseTo(1.064178, 5);
		expect(effect.lash).toBeCloseTo(1.5, 12);
		expect([effect.preload, effect.retards]).toEqual([null, false]);
	});
	it('gives a hydraulic plunger c of preload, and with overhead cams retards the timing instead', () => {
		expect(cutEffect(mm(0.5), { ...engine, lifters: 'hydraulic' })).toMatchObject({
			preload: 0.5,
			lash: null
		});
		expect(cutEffect(mm(0.5), { ...engine, camAt: 'head' })).toMatchObject({
			preload: null,
			lash: null,
			retards: true
		});
	});
});

describe('what makes what stale', () => {
	it.each([
		['other-piston', 'piston-to-valve', true],
		['other-piston', 'lash', false],
		['cam-timing', 'compression', false],
		['block-cut', 'pushrod', true],
		['seals', 'seal-gap-at-lift', true],
		['seals', 'installed-height', false],
		['pocket-cut', 'fit', true],
		['pocket-cut', 'lash', false],
		['tip-ground', 'tip-wipe', true],
		['tip-ground', 'seal-gap', false],
		['parts-changed', 'vacuum', true],
		['valve-train-changed', 'rocker-slot', true],
		['valve-train-changed', 'installed-height', false],
		['valve-job', 'tip-wipe', true],
		['valve-job', 'follower-shim', false],
		['guides', 'stem-inspection', true]
	] as const)('%s and %s: %s', (work, what, isStale) => {
		expect(makesStale(work, what)).toBe(isStale);
	});
});

describe('stale readings', () => {
	const load = (): Job => {
		const read = readJob(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'));
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		return read.value;
	};
	const after = (change: Partial<Job['headWork'][number]>) => {
		const job = load();
		const work = { ...job.headWork[0]!, id: crypto.randomUUID(), at: '2026-11-20T08:00:00.000Z' };
		job.headWork.push({ ...work, ...change });
		return evaluate(job);
	};
	it('are all readings taken before a valve job', () => {
		const { measured, stations } = after({ work: 'valve-job' });
		expect(measured['installed-height']).toBe(0);
		expect(stations[0]!.state).toBe('not-measured');
		expect(stations[0]!.remarks.map(({ text }) => text)).toContainEqual(
			message('reading.stale', { quantity: 'installed-height', work: 'valve-job' })
		);
	});
	it('are only the gaps after new seals, only the lash after a cut, nothing on another head', () => {
		expect(after({ work: 'seals' }).measured).toMatchObject({ 'seal-gap': 0, lash: 16 });
		expect(after({ work: 'deck-cut' }).measured).toMatchObject({ 'seal-gap': 16, lash: 0 });
		expect(after({ work: 'seats', head: 'B' }).measured['installed-height']).toBe(16);
	});
	it('count again once measured after the work', () => {
		const job = load();
		job.headWork.push({ ...job.headWork[0]!, id: crypto.randomUUID(), at: '2026-11-20T08:00:00Z' });
		const old = job.readings.find(({ quantity }) => quantity === 'installed-height')!;
		job.readings.push({ ...old, id: crypto.randomUUID(), at: '2026-11-21T08:00:00.000Z' });
		const sheet = evaluate(job);
		expect(sheet.measured['installed-height']).toBe(1);
		expect(sheet.stations.find(({ label }) => label === old.station)!.figures.height.state).toBe(
			'clear'
		);
	});
});

describe('a valve as it was seen', () => {
	const good = {
		condition: 'new',
		tip: 'good',
		groove: 'good',
		stem: 'good',
		seatMark: 'even'
	} as const;
	it('says nothing of a good one', () => expect(inspectionFindings(good)).toEqual([]));
	it('stops at a battered tip and a worn groove, watches a wide seat', () => {
		const seen = inspectionFindings({ ...good, tip: 'battered', groove: 'worn', seatMark: 'wide' });
		expect(seen.map(({ state }) => state)).toEqual(['stop', 'stop', 'watch']);
	});
});

describe('moving mass', () => {
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error('demo');
	const intake = read.value.setup.kinds.intake;
	it('is valve + retainer + locks + a third of the spring + rocker inertia ÷ arm²', () => {
		// 112 + 27.5 + 6.3 + 104 ÷ 3 = 180.467; 38 ÷ (1.45 × 25.4)² = 38 ÷ 1356.46 = 28.014 g
		expect(showMass(movingMass(intake).total)).toBe('208.5');
		expect(movingMass(intake, 1 / 2).total * 1000).toBeCloseTo(112 + 27.5 + 6.3 + 52 + 28.0139, 3);
	});
	it('names what has no mass, and counts it as nothing', () => {
		const { mass: _, ...light } = intake.retainer!;
		const mass = movingMass({ ...intake, retainer: light });
		expect(mass.missing).toEqual(['retainer']);
		expect(showMass(mass.total)).toBe('181.0');
	});
	it('of the whole assembly has all of the spring, and no rocker', () => {
		expect(showMass(assemblyMass(intake).total)).toBe('249.8');
		const { mass: _, ...light } = intake.retainer!;
		expect(assemblyMass({ ...intake, retainer: light }).missing).toEqual(['retainer']);
	});
	it('tells what another retainer saves, in grams and as a part', () => {
		const change = massChange(intake, {
			...intake,
			retainer: { ...intake.retainer!, mass: '15.8 g' }
		});
		expect(showMass(change.difference)).toBe('−11.7');
		expect(change.part).toBeCloseTo(-11.7 / 208.48, 4);
	});
});
