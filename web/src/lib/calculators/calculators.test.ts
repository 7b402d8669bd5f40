/** Every quick sum against what was worked out by hand, and how its line reads. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { INCH_POUND, METRIC, CALCULATOR_CODES, CALCULATORS, type Units } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { figureText, inEveryUnit, jobAddress, lineOf, parsed, workingText } from './line.ts';

/** The worked rows of a page: those of its tables whose first column names a sum. */
const workedIn = (page: string) =>
	readFileSync(page, 'utf8')
		.split('\n')
		.filter((line) => line.startsWith('|'))
		.map((line) => line.split('|').map((cell) => cell.trim()))
		.filter(([, code, units]) => code !== 'sum' && /^(in lbf|mm N)$/.test(units ?? ''))
		.map(([, code, units, typed, , out]) => [code!, units!, typed!, out!] as const);
const rows = workedIn('docs/calculators-by-hand.md');
const TRADE = 'docs/trade';
const inTrade = readdirSync(TRADE).flatMap((name) =>
	workedIn(`${TRADE}/${name}`).map((row) => [name, ...row] as const)
);
const pairs = (text: string) =>
	text.split(';').map((pair) => pair.trim().split('=') as [string, string]);
const calculatorOf = (code: string) => CALCULATORS.find((calculator) => calculator.code === code)!;
const typedInto = (code: string, text: string) =>
	Object.fromEntries(pairs(text).map(([key, value]) => [`${code}.${key}`, value]));

describe('by hand', () => {
	it('covers every sum, in both units', () => {
		expect(new Set(rows.map(([code]) => code))).toEqual(new Set(CALCULATOR_CODES));
		expect(CALCULATORS.map(({ code }) => code)).toEqual([...CALCULATOR_CODES]);
		expect(new Set(rows.map(([, units]) => units))).toEqual(new Set(['in lbf', 'mm N']));
	});
	it.each(rows)('%s, %s: %s', comesOut);
	it('has worked lines on the pages of the trade', () => {
		expect(inTrade.length).toBeGreaterThan(15);
	});
	it.each(inTrade)('docs/trade/%s: %s, %s: %s', (_, ...row) => comesOut(...row));

	function comesOut(code: string, unit: string, typed: string, out: string): void {
		const units: Units = unit.startsWith('in') ? INCH_POUND : METRIC;
		const line = lineOf(calculatorOf(code), typedInto(code, typed), units);
		expect(line.problems).toEqual({});
		const got = line.results!.map(
			({ key, value, dimension }) => `${key}=${figureText(value, dimension, units)}`
		);
		expect(got).toEqual(pairs(out).map(([key, value]) => `${key}=${value}`));
	}
});

describe('a line', () => {
	const aim = calculatorOf('aim-height');
	const line = (text: string, calculator = aim, units = INCH_POUND) =>
		lineOf(calculator, typedInto(calculator.code, text), units);
	it('reads as it would be written', () => {
		const [height] = line('bind=1150; lift=540; cushion=60').results!;
		expect(workingText(height!, INCH_POUND)).toBe('1.150 + 0.540 + 0.060 = 1.750');
		const [load] = line(
			'tall=1.820; tallLoad=130; short=1.280; shortLoad=316; height=1.800',
			calculatorOf('load-at')
		).results!;
		expect(workingText(load!, INCH_POUND)).toBe('130 + 344 × (1.820 − 1.800) = 137');
	});
	it('says nothing until all is typed, and what is wrong at its field', () => {
		expect(line('bind=1.150; lift=0.540')).toEqual({ problems: {}, results: null, why: null });
		const wrong = line('bind=abc; lift=0.540; cushion=0.060');
		expect(wrong.results).toBeNull();
		expect(tell(wrong.problems.bind!)).toMatch(/“abc” is not a figure/);
	});
	it('says why where nothing comes out', () => {
		expect(tell(line('bare=1.800; wanted=1.820', calculatorOf('shim')).why!)).toMatch(/shorter/);
		const same = 'tall=1.820; tallLoad=130; short=1.820; shortLoad=316; height=1.800';
		expect(tell(line(same, calculatorOf('load-at')).why!)).toMatch(/one height/);
		const free = 'height=1.800; load=120; rate=330; other=3';
		expect(line(free.replace('other=3', 'other=3.0'), calculatorOf('load-by-rate')).why?.code).toBe(
			'sum.out-of-reach'
		);
		expect(
			line(
				'height=1.2; bind=1.150; bindFloor=0.050; gap=0.640; sealFloor=0.050',
				calculatorOf('max-lift')
			).why?.code
		).toBe('sum.no-room');
	});
	it('has what is usual until another is typed', () => {
		const [, gross] = line('lobe=360; lash=14', calculatorOf('lift')).results!;
		expect(figureText(gross!.value, gross!.dimension, INCH_POUND)).toBe('0.540 in');
	});
	it('tells a length or a load in every unit', () => {
		const [length] = line('length=1.812', calculatorOf('length')).results!;
		expect(inEveryUnit(length!)).toEqual(['1.812 in', '46.02 mm']);
		const [load] = line('load=130', calculatorOf('load')).results!;
		expect(inEveryUnit(load!)).toEqual(['130 lbf', '578 N', '59.0 kgf']);
	});
	it('says in its address how it was understood, so that a bench in other units reads the same', () => {
		const typed = {
			'aim-height.bind': '1150',
			'net-force.pressure': '20',
			'load-by-rate.rate': '330'
		};
		const sent = parsed(typed, INCH_POUND);
		expect(sent).toEqual({
			'aim-height.bind': '1.150 in',
			'net-force.pressure': '20 psi',
			'load-by-rate.rate': '330 lbf/in'
		});
		expect(parsed(sent, METRIC)).toEqual(sent);
		expect(parsed({ 'lash-hot.growth': '-2', 'seal.gap': 'abc' }, INCH_POUND)).toEqual({
			'lash-hot.growth': '-0.002 in',
			'seal.gap': 'abc'
		});
	});
	it('takes a rate as the shop says it, and refuses what could be two', () => {
		const rate = (text: string) =>
			line(`height=1.8; load=120; rate=${text}; other=1.76`, calculatorOf('load-by-rate'));
		for (const text of ['330', '330 lbs/in', '330 LBF per inch'])
			expect(figureText(rate(text).results![0]!.value, 'load', INCH_POUND)).toBe('133 lbf');
		for (const text of ['1,234', '330 LBF/MM', '-330', 'stiff'])
			expect(rate(text).problems.rate).toBeDefined();
	});
	it('refuses loads that no spring has, and a thread without pitch', () => {
		const falling = 'tall=1.820; tallLoad=316; short=1.280; shortLoad=130; height=1.5';
		for (const code of ['load-at', 'energy'])
			expect(line(falling, calculatorOf(code)).why?.code).toBe('sum.no-spring');
		const flat = 'height=1.800; load=120; rate=0; other=1.760';
		expect(line(flat, calculatorOf('load-by-rate')).why?.code).toBe('sum.no-spring');
		const still = 'measured=0.020; wanted=0.014; pitch=0; ratio=1.5';
		expect(line(still, calculatorOf('adjuster')).why?.code).toBe('sum.above-zero');
	});
	it('takes no unit of another dimension for its own', () => {
		const compression = (chamber: string) =>
			line(
				`bore=4.030; stroke=3.480; chamber=${chamber}; gasket=9; deck=0; open=0.82; cut=0`,
				calculatorOf('compression')
			);
		expect(compression('64 cc').results).not.toBeNull();
		expect(compression('60 bar').problems.chamber).toBeDefined();
		const net = line('seatLoad=130; head=2.02; pressure=10 cc', calculatorOf('net-force'));
		expect(net.problems.pressure).toBeDefined();
	});
	it.each([
		['bind-margin', 'height=1.820; lift=-0.540; bind=1.150', 'sum.not-negative'],
		['lift', 'lobe=0.360; ratio=0; lash=0', 'sum.above-zero'],
		['lift', 'lobe=0.360; ratio=-1.5; lash=0', 'sum.above-zero'],
		[
			'compression',
			'bore=4.030; stroke=-80; chamber=64; gasket=9; deck=0; open=0.82; cut=0',
			'sum.above-zero'
		]
	])('%s gives no answer to %s', (code, typed, why) => {
		const { results, why: problem } = line(typed, calculatorOf(code));
		expect([results, problem?.code]).toEqual([null, why]);
	});
	it('takes a finger follower’s ratio: 3.00 + (0.30 − 0.20) × 1.5', () => {
		const finger = line(
			'shim=3.00; measured=0.30; wanted=0.20; ratio=1.5',
			calculatorOf('follower'),
			METRIC
		);
		expect(finger.results![0]!.value).toBeCloseTo(3.15, 9);
	});
	it('begins a job with its lift and cushion, units and all', () => {
		expect(jobAddress({}, INCH_POUND)).toBe('/jobs/new');
		const typed = { 'aim-height.lift': '', 'seal.lift': '540', 'aim-height.cushion': '1.5 mm' };
		expect(jobAddress(typed, INCH_POUND)).toBe('/jobs/new?lift=0.540+in&cushion=1.5+mm');
	});
});
