/** Steps as they are chosen and typed, and the figures after each. */
import { describe, expect, it } from 'vitest';
import { evaluate, inSteps, type ChangeStep, type LibraryPart } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words } from '$lib/test/rendered';
import Steps from './Steps.svelte';
import {
	figureStep,
	isFigureStep,
	limitText,
	movesLocks,
	partStep,
	stepOptions,
	stepRows
} from './steps';

const INCHES = { length: 'in', load: 'lbf' } as const;
const job = demoJob('2417-straight-six');
const sheet = evaluate(job);
const locks: LibraryPart = {
	type: 'locks',
	part: {
		...job.setup.kinds.intake.locks!,
		id: '0197a000-0000-7000-8000-000000000001',
		name: 'High'
	},
	stock: null,
	retired: false
};
const kit = {
	id: '0197a000-0000-7000-8000-000000000002',
	name: 'Quill 7',
	kinds: { intake: { spring: 's', locks: locks.part.id }, exhaust: {} },
	refused: [],
	box: {}
};
const library = { parts: [locks], kits: [kit] };
const around = atBench(job);
around.bench.units = INCHES;

describe('a step', () => {
	it('is offered by its figure, as a kit of the kind, or as a part of the library', () => {
		const values = (kind: 'intake' | 'exhaust') =>
			stepOptions(library, kind).map(({ value }) => value);
		expect(values('intake')).toContain(`kit ${kit.id}`);
		expect(values('exhaust')).not.toContain(`kit ${kit.id}`);
		expect(values('exhaust')).toContain(`locks ${locks.part.id}`);
		expect(isFigureStep('lift')).toBe(true);
		expect(movesLocks('locks')).toBe(true);
		expect(movesLocks('spring x')).toBe(false);
	});
	it('is read in the bench’s units, with its sign where it has one', () => {
		expect(figureStep('locks', '-50', true, INCHES)).toEqual({
			ok: true,
			step: { type: 'locks', by: '-0.050 in', keepsHeight: true }
		});
		expect(figureStep('seals-home', '0.020', true, INCHES)).toEqual({
			ok: true,
			step: { type: 'seals-home', by: '0.020 in' }
		});
		expect(figureStep('lift', 'much', true, INCHES).ok).toBe(false);
	});
	it('of a part or a kit holds what it puts in', () => {
		expect(partStep(`locks ${locks.part.id}`, 'intake', sheet, library, true)).toEqual({
			type: 'parts',
			parts: [{ place: 'locks', part: locks.part }],
			keepsHeight: true
		});
		expect(partStep(`kit ${kit.id}`, 'intake', sheet, library, true)).toMatchObject({
			parts: [{ place: 'locks' }]
		});
		expect(partStep('locks nobody', 'intake', sheet, library, true)).toBeNull();
	});
});

describe('the table of steps', () => {
	const steps: ChangeStep[] = [
		{ type: 'seals-home', by: '0.020 in' },
		{ type: 'locks', by: '0.050 in', keepsHeight: true }
	];
	const stepped = inSteps(job, sheet, 'intake', steps);
	it('has every figure after each, for no two changes move the same', () => {
		const rows = stepRows('intake', stepped, around.bench);
		const of = (name: string) => rows.find((row) => row.name.startsWith(name))!.texts;
		expect(of('Height')[2]).toBe(of('Height')[0]);
		expect(new Set(of('Min seal clearance')).size).toBe(3);
		expect(limitText(stepped[0]!)).toMatch(/\w/);
	});
	it('names the steps, what they gain in all, and what is work at the bench', () => {
		const text = words(
			markup(Steps, { kind: 'intake', stepped, onchange: () => undefined }, around)
		);
		expect(text).toContain('+ Seals home by 0.020');
		expect(text).toContain('+ Locks higher by 0.050, with the shim');
		expect(text).toMatch(/Gain in all .*\+0\.\d{3}/);
		expect(text).toContain('Not put on the job: Seals home by 0.020');
	});
});
