/** How findings, columns and corrections are put into words. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import {
	evaluate,
	INCH_POUND,
	METRIC,
	type GaugeCheck,
	type Job,
	type Sheet
} from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { Gauge } from '@zinc-ledger/core/gauge-schema';
import { write } from '@zinc-ledger/words';
import { placeOf, findingLines } from '$lib/sheet/fit/finding-lines';
import { correctionWords } from '$lib/parts/gauges/words';
import { COLUMN_VIEWS, columnsFor, showFigure, verdictIn } from './columns';

let job: Job;
beforeEach(() => {
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
});

const linesOf = ({ fit }: Sheet) =>
	findingLines(fit, ({ compared }) => write(compared, INCH_POUND));

describe('findings on the sheet', () => {
	it('that both kinds share are told once, stops first', () => {
		job.setup.kinds.exhaust.locks!.angle = 7;
		const lines = linesOf(evaluate(job));
		expect(lines.map(({ finding, places, compared }) => [finding.rule, places, compared])).toEqual([
			['lock-angle', 'Exhaust', 'locks 7°, retainer 10°'],
			['one-maker', 'Intake, Exhaust', 'retainer Ostrel, locks Brackel']
		]);
	});
	it('of which one is accepted and one is not are told apart', () => {
		job.acceptances = job.acceptances.slice(0, 1);
		expect(linesOf(evaluate(job)).map(({ places }) => places)).toEqual(['Intake', 'Exhaust']);
	});
	it('of stations with parts of their own name them', () => {
		job.stations[4]!.parts = { locks: { name: 'Seven', offset: '0 mm', angle: 7 } };
		const found = evaluate(job).fit.find(({ stations }) => stations.length > 0)!;
		expect(placeOf(found)).toBe(job.stations[4]!.label);
	});
});

describe('columns', () => {
	const keys = () => columnsFor(evaluate(job).stations).map(({ key }) => key);
	it('are those a job has: no tip heights unless measured, no lash for hydraulic lifters', () => {
		expect(keys()).not.toContain('tipHeight');
		expect(keys()).toContain('lash');
		job.setup.lifters = 'hydraulic';
		expect(keys()).not.toContain('lash');
	});
	it('gain what is measured on the built head', () => {
		expect(keys()).not.toContain('built');
		const reading = job.readings.find(({ quantity }) => quantity === 'installed-height')!;
		job.readings.push({ ...reading, id: crypto.randomUUID(), quantity: 'built-height' });
		expect(keys().at(-1)).toBe('built');
		const built = evaluate(job).stations.find(({ label }) => label === reading.station)!;
		expect(verdictIn(built, 'built')).toMatchObject({ state: 'clear' });
		expect(verdictIn(built, 'height')).toBe(built.figures.height);
	});
	it('show a figure in the units of whoever reads it', () => {
		const [height, seat] = COLUMN_VIEWS;
		const lash = COLUMN_VIEWS.find(({ key }) => key === 'lash')!;
		const { figures } = evaluate(job).stations[0]!;
		expect(showFigure(figures.height, height!, INCH_POUND)).toBe('1.818');
		expect(showFigure(figures.height, height!, METRIC)).toBe('46.18');
		expect(showFigure(figures.seatLoad, seat!, INCH_POUND)).toBe('131');
		expect(showFigure(figures.lash, lash, INCH_POUND)).toBeNull();
	});
});

describe('the correction of a gauge', () => {
	const id = '0197a777-0000-7000-8000-000000000001';
	const gauge = Gauge.parse({ id, name: 'Tester', type: 'bench-tester' });
	const check = (reference: string, read: string): GaugeCheck => ({
		id: crypto.randomUUID(),
		gauge: id,
		against: 'Standard',
		reference,
		read,
		person: id,
		at: '2026-11-02T10:00:00.000Z'
	});
	it.each([
		[[], 'none: not checked yet'],
		[[check('1.800 in', '1.7995 in')], '+0.0005 in'],
		[[check('100 lbf', '112 lbf')], '−12.0 lbf'],
		[[check('1.800 in', '1.800 in')], 'none needed'],
		[[check('100 lbf', '110 lbf'), check('300 lbf', '330 lbf')], '× 0.9091'],
		[[check('1.800 in', '1.801 in'), check('100 lbf', '98 lbf')], '−0.0010 in, +2.0 lbf']
	])('%#: %s', (checks, words) => {
		expect(correctionWords(gauge, checks, INCH_POUND)).toBe(words);
	});
});
