import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
	controlledStations,
	controlSweep,
	evaluate,
	forcesOver,
	INCH_POUND,
	METRIC
} from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { forcesChart, sweepChart } from './charts';

const read = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const job = read.value;
const [first] = controlledStations(evaluate(job));
const colours = {
	paper: '#fff',
	ink: '#000',
	soft: '#111',
	metal: '#222',
	window: '#333',
	stop: '#444'
};

describe('the chart of forces', () => {
	const forces = forcesOver(first!.train, 6900);
	const lines = (over: 'lift' | 'angle', units = INCH_POUND) =>
		forcesChart(forces, over, units)(colours).series.map(({ data }) => data);
	it('shows spring and need in the bench’s units, the opening flank alone over lift', () => {
		const [spring, needed] = lines('lift');
		expect(spring!.length).toBeLessThan(forces.length * 0.6);
		const [lift, load] = spring!.at(-1)!;
		expect(lift).toBeCloseTo(0.526, 2);
		expect(load).toBeGreaterThan(300);
		expect(needed!.at(-1)![1]).toBeLessThan(load!);
		const [metric] = lines('lift', METRIC);
		expect(metric!.at(-1)![0]! / lift!).toBeCloseTo(25.4, 1);
	});
	it('shows the whole opening over angle, from before the nose to after it', () => {
		const [spring] = lines('angle');
		expect(spring).toHaveLength(forces.length);
		expect(spring![0]![0]).toBeLessThan(-60);
		expect(spring!.at(-1)![0]).toBeGreaterThan(60);
	});
});

describe('the chart of a sweep', () => {
	const sweep = controlSweep(first!)!;
	it('shows three lines, with gaps where the model tells nothing, and the highest speed', () => {
		const { series } = sweepChart(sweep, 'seating', 6900)(colours);
		expect(series.map(({ name }) => name)).toEqual(['70 %', '100 %', '130 %']);
		expect(series[1]!.data.at(-1)![1]).toBeNull();
		expect(series[1]).toMatchObject({ markLine: { data: [{ xAxis: 6900 }] } });
		expect(sweepChart(sweep, 'bounce', null)(colours).series[1]).not.toHaveProperty('markLine');
	});
	it('shows bounce in micrometres', () => {
		const { series } = sweepChart(sweep, 'bounce', null)(colours);
		expect(Math.max(...series[0]!.data.map(([, bounce]) => bounce ?? 0))).toBeGreaterThan(100);
	});
});
