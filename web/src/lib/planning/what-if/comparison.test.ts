import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
	evaluate,
	INCH_POUND,
	METRIC,
	withScenario,
	type Job,
	type PartAt
} from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { Bench } from '$lib/bench/bench.svelte';
import { gainLine, rowsOf, worstOf, type Side } from './comparison';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const job: Job = read.value;
const sheet = evaluate(job);
const setup = withScenario(job.setup, sheet, {
	kinds: { intake: { lift: '0.600 in' }, exhaust: {} },
	limits: {}
});
const sides: readonly Side[] = [
	{ name: 'now', sheet, plan: null, highest: null },
	{ name: 'what if', sheet: evaluate({ ...job, setup }), plan: null, highest: null }
];
const inches = new Bench(null, INCH_POUND);
const metric = new Bench(null, METRIC);
const texts = (name: string, bench = inches) =>
	(['intake', 'exhaust'] as const)
		.flatMap((kind) => rowsOf(kind, sides, bench))
		.find((row) => row.name === name)!
		.figures.map(({ text }) => text);

describe('side by side', () => {
	it('more lift takes as much of the bind margin, and the other kind stays', () => {
		const [now, then] = texts('Intake min bind margin, in').map(Number);
		expect(now! - then!).toBeCloseTo(0.6 - 0.54, 3);
		const exhaust = texts('Exhaust min bind margin, in');
		expect(exhaust[0]).toBe(exhaust[1]);
	});
	it('is in the units of whoever looks at it', () => {
		expect(texts('Intake target, in')).toEqual(['1.820', '1.820']);
		expect(texts('Intake target, mm', metric)).toEqual(['46.23', '46.23']);
		expect(texts('Intake seat loads, lbf')[0]).toBe('128 to 132');
	});
	it('marks the kind in which a station stops', () => {
		const last = (kind: 'intake' | 'exhaust') => rowsOf(kind, sides, inches).at(-1)!.figures;
		expect(last('exhaust')[0]).toEqual({ text: '1, 0, 0', bad: true });
		expect(last('intake')[0]!.bad).toBe(false);
	});
	it('has the figures of the height aimed for before any is measured, and says so', () => {
		const bare = evaluate({ ...job, readings: [] });
		const [row] = rowsOf(
			'intake',
			[{ name: 'bare', sheet: bare, plan: null, highest: null }],
			metric
		).slice(1);
		expect(row!.name).toContain('at target height');
		expect(row!.figures[0]!.text).toMatch(/^\d+$/);
	});
	it('has a dot for what is not known', () => {
		const setup = structuredClone(job.setup);
		delete setup.kinds.intake.spring;
		const none = evaluate({ ...job, setup, readings: [] });
		const [, row] = rowsOf(
			'intake',
			[{ name: 'bare', sheet: none, plan: null, highest: null }],
			metric
		);
		expect(row!.figures).toEqual([{ text: '·' }]);
	});
	it('says in a line what a change buys and costs, and nothing of what stays', () => {
		const line = gainLine(sheet, sides[1]!.sheet, inches);
		expect(line).toMatch(/^Intakes: open load \+\d+, bind margin −0\.060/);
		expect(line).not.toContain('Exhausts');
		expect(line).not.toContain('seat load');
		expect(gainLine(sheet, sheet, inches)).toBe('No figure moves.');
	});
	it('says how a plan went', () => {
		expect(worstOf({ type: 'no-plan', why: [] }, metric)).toBe('no plan');
		expect(worstOf({ type: 'stopped' }, metric)).toBe('stopped');
	});
	it('tells what control at speed costs, as soon as the lobe is known', () => {
		const light = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
		if (!light.ok) throw new Error('demo');
		const now = evaluate(light.value);
		const retainer = { ...light.value.setup.kinds.intake.retainer!, mass: '15 g' };
		const kinds = {
			intake: { parts: [{ place: 'retainer' as const, part: retainer as PartAt['part'] }] },
			exhaust: {}
		};
		const then = evaluate({
			...light.value,
			setup: withScenario(light.value.setup, now, { kinds, limits: {} })
		});
		const both = [
			{ name: 'now', sheet: now, plan: null, highest: 6900 },
			{ name: 'then', sheet: then, plan: null, highest: 6900 }
		];
		const figures = (name: string) =>
			rowsOf('intake', both, inches)
				.find((row) => row.name === `Intake ${name}`)!
				.figures.map(({ text }) => Number(text.replace(',', '')));
		const [before, after] = figures('min control limit, rpm');
		expect(after! - before!).toBeGreaterThan(100);
		const nose = figures('nose load there, lbf');
		expect(nose[0]).toBe(nose[1]);
		expect(figures('seating velocity at the highest speed, m/s')[0]).toBeGreaterThan(0.5);
		expect(rowsOf('intake', sides, inches).some(({ name }) => name.includes('control'))).toBe(
			false
		);
	});
});
