import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	INCH_POUND,
	lengthText,
	METRIC,
	showLength,
	showLengthInBoth,
	showLoad,
	showRate
} from './display.ts';
import { Load, Size } from './schema.ts';
import {
	isPlausible,
	readEntry,
	readLoadEntry,
	readMeasured,
	readSignedEntry,
	withUnit
} from './entry.ts';
import { message, messageOf } from '../message/index.ts';
import {
	inches,
	lengthOf,
	loadOf,
	measureOf,
	mm,
	poundsForce,
	rateOf,
	siOf,
	toComparisonStep
} from './quantity.ts';

describe('quantities as text', () => {
	it('reads lengths, loads and rates exactly', () => {
		expect(lengthOf('1.820 in')).toBeCloseTo(46.228, 12);
		expect(lengthOf('-0.050 in')).toBeCloseTo(-1.27, 12);
		expect(loadOf('1 kgf')).toBe(9.80665);
		// 1 lbf/in = 4.4482216152605 N ÷ 25.4 mm
		expect(rateOf('1 lbf/in')).toBeCloseTo(0.1751268, 7);
	});

	it.each(['1.820', '1.820 furlong', '1,820 in', 'in', '1. in', ''])('refuses %j', (text) => {
		expect(() => lengthOf(text)).toThrow(RangeError);
	});

	it('refuses digits that no number holds, in the text and in the schema', () => {
		const endless = `${'9'.repeat(400)} in`;
		expect(() => lengthOf(endless)).toThrow(RangeError);
		expect(Size.safeParse(endless).success).toBe(false);
		expect(Load.safeParse(`${'9'.repeat(400)} lbf`).success).toBe(false);
		expect(Size.safeParse(`1.${'3'.repeat(20)} in`).success).toBe(true);
		expect(readEntry('9'.repeat(400), 'in').ok).toBe(false);
	});

	it('refuses a negative load', () => {
		expect(() => loadOf('-5 lbf')).toThrow(RangeError);
	});

	it('brings a height read in thousandths back as it was', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 9999 }), (thousandths) => {
				const text = `${(thousandths / 1000).toFixed(3)} in`;
				expect(lengthText(lengthOf(text), 'in')).toBe(text);
			})
		);
	});
});

describe('what a machinist types', () => {
	it.each([
		['1812', 'in', '1.812 in'],
		['1.812', 'in', '1.812 in'],
		['1,812', 'in', '1.812 in'],
		['1.8125', 'in', '1.8125 in'],
		['.060', 'in', '0.060 in'],
		['20', 'in', '0.020 in'],
		['1.812"', 'in', '1.812 in'],
		['46.02', 'mm', '46.02 mm'],
		['46,02', 'mm', '46.02 mm'],
		['46.02mm', 'in', '46.02 mm'],
		['1812 in', 'mm', '1.812 in'],
		['01.812', 'in', '1.812 in'],
		[' 46. ', 'mm', '46 mm'],
		['20 thou', 'in', '0.020 in'],
		['20thou', 'mm', '0.020 in'],
		['1.5 thou', 'in', '0.0015 in'],
		['.050"', 'in', '0.050 in'],
		['.050”', 'mm', '0.050 in'],
		['1.812 inches', 'mm', '1.812 in'],
		['1 13/16', 'in', '1.8125 in'],
		['1-13/16"', 'mm', '1.8125 in'],
		['1/64', 'in', '0.015625 in']
	] as const)('reads %j in %s as %s', (typed, unit, text) => {
		expect(readEntry(typed, unit)).toMatchObject({ ok: true, text });
	});

	it.each([
		['', 'entry.empty'],
		['18l2', 'entry.not-figure'],
		['-1.812', 'entry.negative'],
		['1.812.5', 'entry.two-decimals'],
		['1,812.5', 'entry.two-decimals'],
		['1.8123456', 'entry.too-many-decimals'],
		['1812345678901', 'entry.too-many-digits'],
		['.', 'entry.not-figure'],
		['1 13/15', 'entry.not-fraction'],
		['17/16', 'entry.not-fraction']
	])('refuses %j', (typed, problem) => {
		const entry = readEntry(typed, 'in');
		expect(entry.ok).toBe(false);
		expect(entry.ok ? '' : entry.problem.code).toBe(problem);
	});

	it('does not take whole millimetres for thousandths', () => {
		expect(readEntry('4602', 'mm')).toMatchObject({ text: '4602 mm', thousandths: false });
	});

	it('never keeps anything but what a quantity text may be', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 16 }), fc.constantFrom('in', 'mm'), (typed, unit) => {
				const entry = readEntry(typed, unit as 'in' | 'mm');
				if (entry.ok) expect(lengthOf(entry.text)).toBe(entry.length);
			})
		);
	});

	it('reads a lock offset with its sign', () => {
		expect(readSignedEntry('-50', 'in')).toMatchObject({ ok: true, text: '-0.050 in' });
		expect(readSignedEntry('+.050', 'in')).toMatchObject({ ok: true, text: '0.050 in' });
	});

	it('takes a load as people say it', () => {
		expect(withUnit('128 lbs', 'N')).toBe('128 lbf');
		expect(withUnit('128#', 'N')).toBe('128 lbf');
		expect(withUnit('58 kg', 'N')).toBe('58 kgf');
		expect(withUnit('340 lb/in', 'N/mm')).toBe('340 lbf/in');
		expect(withUnit('1.2 kg', 'g')).toBe('1.2 kg');
	});

	it('asks what 1,234 is where it could be either, and takes the one that is plausible', () => {
		const band = { from: 50, to: 3000 };
		expect(readLoadEntry('1,234', 'N', band)).toEqual({ ok: true, text: '1234 N' });
		expect(readLoadEntry('1,234', 'lbf', band)).toMatchObject({
			ok: false,
			problem: message('entry.two-meanings', { typed: '1,234', meanings: ['1234', '1.234'] })
		});
		expect(readLoadEntry('1,234', 'N').ok).toBe(false);
		expect(readLoadEntry('128,5', 'lbf', band)).toEqual({ ok: true, text: '128.5 lbf' });
		const refused = Load.safeParse(withUnit('1,234', 'lbf'));
		expect(messageOf(refused.error!.issues[0]!)).toEqual(
			message('field.two-meanings', { meanings: ['1234', '1.234'] })
		);
	});

	it('gives bare loads the unit at hand and leaves the rest to the schema', () => {
		expect(withUnit('130', 'lbf')).toBe('130 lbf');
		expect(withUnit('12,5', 'kgf')).toBe('12.5 kgf');
		expect(withUnit('560N', 'lbf')).toBe('560 N');
		expect(withUnit('lots', 'lbf')).toBe('lots');
	});

	it('believes what lies in the band, ends included', () => {
		const band = { from: mm(40), to: mm(50) };
		expect([39.99, 40, 50, 50.01].map((value) => isPlausible(mm(value), band))).toEqual([
			false,
			true,
			true,
			false
		]);
	});
});

describe('figures as shown', () => {
	it('shows 0.001 in and 0.01 mm', () => {
		expect(showLength(inches(1.8195), INCH_POUND)).toBe('1.820');
		expect(showLength(mm(46.228), METRIC)).toBe('46.23');
	});

	it('has a true minus and no negative zero', () => {
		expect(showLength(inches(-0.012), INCH_POUND)).toBe('−0.012');
		expect(showLength(inches(-0.000001), INCH_POUND)).toBe('0.000');
		expect(showLength(mm(0), INCH_POUND)).toBe('0.000');
	});

	it('never lets a length that is something read as nothing', () => {
		expect(showLength(inches(0.0002), INCH_POUND)).toBe('0.0002');
		expect(showLength(inches(-0.0001), INCH_POUND)).toBe('−0.0001');
		expect(showLength(mm(0.004), METRIC)).toBe('0.004');
	});

	it('shows what the gauge resolves', () => {
		expect(showLength(inches(1.8125), INCH_POUND, inches(0.0005))).toBe('1.8125');
		expect(showLength(inches(1.8125), INCH_POUND, inches(0.001))).toBe('1.813');
		expect(showLength(mm(46.025), METRIC, mm(0.005))).toBe('46.025');
	});

	it('tells a margin from its floor with a digit more where they would read alike', () => {
		const floor = inches(0.05);
		expect(showLengthInBoth(inches(0.0498), floor, INCH_POUND)).toBe('0.0498');
		expect(showLengthInBoth(inches(0.049), floor, INCH_POUND)).toBe('0.049');
		expect(showLengthInBoth(floor, floor, INCH_POUND)).toBe('0.050');
	});

	it('shows loads and rates in every unit', () => {
		expect(showLoad(poundsForce(129.6), INCH_POUND)).toBe('130');
		expect(showLoad(poundsForce(130), { length: 'in', load: 'kgf' })).toBe('59.0');
		expect(showRate(rateOf('340 lbf/in'), INCH_POUND)).toBe('340');
		expect(showRate(rateOf('35.5 N/mm'), METRIC)).toBe('35.50');
	});
});

describe('comparison', () => {
	it('makes a margin of exactly the limit equal to it', () => {
		const margin = inches(1.82) - inches(0.54) - inches(1.23);
		expect(toComparisonStep(margin - inches(0.05), 'length') + 0).toBe(0);
	});
});

describe('a load as typed or sent', () => {
	it.each([
		['130', '130 lbf'],
		['130.5', '130.5 lbf'],
		['580,5 N', '580.5 N'],
		['60kgf', '60 kgf']
	])('%s is %s', (typed, text) => {
		expect(readLoadEntry(typed, 'lbf')).toEqual({ ok: true, text });
	});
	it.each(['', '-5', 'heavy', '12 mm'])('“%s” is refused with a word', (typed) => {
		const entry = readLoadEntry(typed, 'lbf');
		expect(entry.ok ? '' : entry.problem.code).toMatch(/^entry\./);
	});
});

describe('what a gauge reads', () => {
	const units = { length: 'in', load: 'lbf' } as const;
	it.each([
		['62.4', '62.4 cc'],
		['62,4 ml', '62.4 cc'],
		['062.40cm³', '62.40 cc']
	])('a volume typed as %s is kept as %s', (typed, text) => {
		expect(readMeasured(typed, 'volume', units)).toEqual({ ok: true, text });
		expect(siOf(text)).toBeCloseTo(62.4, 9);
	});
	it.each(['', '-3', '62.4 in', 'full', '12345'])('a volume is not %s', (typed) => {
		expect(readMeasured(typed, 'volume', units).ok).toBe(false);
	});
	it('is a length or a load in the units of the person', () => {
		expect(readMeasured('1812', 'length', units)).toMatchObject({ text: '1.812 in' });
		expect(readMeasured('130', 'load', units)).toEqual({ ok: true, text: '130 lbf' });
		expect([measureOf('1 in'), measureOf('1 kgf'), measureOf('1 cc'), measureOf('1 g')]).toEqual([
			'length',
			'load',
			'volume',
			null
		]);
	});
});
