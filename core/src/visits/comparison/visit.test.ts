/** What happened, and what was lost to what, over made-up histories whose truth is known. */
import { describe, expect, it } from 'vitest';
import { cardCurve } from '../../springs/spring/index.ts';
import { mm, newtons, newtonsPerMm } from '../../foundation/units/index.ts';
import { changeOf, isBeyond } from './change.ts';
import { commonCause, commonPart, lossesOf } from './losses.ts';
import { amountOf, dice, LOAD, read } from './test/made-up.ts';
import { HAPPENINGS, SIGNATURES, TRACES, type Happening, type Trace } from './signatures.ts';
import { whatHappened, type WhatHappened } from './what-happened.ts';

const BENCH: readonly Trace[] = ['height', 'seal-gap', 'tip-height', 'lash', 'load', 'lift'];
const ALL = TRACES;

/** Whether what truly happened is among what fits alike, and nothing is said to fit none. */
const names = ({ explanations, fitsNone }: WhatHappened, truth: readonly Happening[]) =>
	!fitsNone &&
	explanations.some(
		({ happened }) =>
			happened.length === truth.length &&
			happened.every(({ happening }) => truth.includes(happening))
	);

/** Pairs that leave no more than either of them, or a third, alone cannot be told from a look. */
const PAIRS = HAPPENINGS.flatMap((one, i) => HAPPENINGS.slice(i + 1).map((other) => [one, other]));

function partNamed(
	truths: readonly (readonly Happening[])[],
	traces: readonly Trace[],
	each: number,
	seed: number
) {
	const chance = dice(seed);
	const named = truths.flatMap((truth) =>
		Array.from({ length: each }, () => {
			const amounts = Object.fromEntries(truth.map((one) => [one, amountOf(one, chance)]));
			return names(whatHappened(read(amounts, traces, chance)), truth);
		})
	);
	return named.filter(Boolean).length / named.length;
}

describe('what happened to a station', () => {
	const singles = HAPPENINGS.map((one) => [one]);
	it('is named right in 95 of 100 single faults, among all that fit alike', () => {
		expect(partNamed(singles, BENCH, 50, 1)).toBeGreaterThanOrEqual(0.95);
		expect(partNamed(singles, ALL, 50, 2)).toBeGreaterThanOrEqual(0.95);
	});
	it('is named right in 85 of 100 pairs, and in 95 with tip length and head depth', () => {
		expect(partNamed(PAIRS, BENCH, 12, 3)).toBeGreaterThanOrEqual(0.85);
		expect(partNamed(PAIRS, ALL, 12, 4)).toBeGreaterThanOrEqual(0.95);
	});
	it('is nothing where nothing happened', () => {
		const chance = dice(5);
		const quiet = Array.from({ length: 400 }, () => whatHappened(read({}, ALL, chance)));
		const none = quiet.filter(
			({ explanations }) => explanations.length === 1 && explanations[0]!.happened.length === 0
		);
		expect(none.length / quiet.length).toBeGreaterThanOrEqual(0.95);
	});
	it('names a sunk seat with a worn tip beside a pulled lock, and what parts them', () => {
		const chance = dice(6);
		const both = { 'seat-sank': 0.3, 'tip-worn': 0.3 };
		const { explanations, parts } = whatHappened(read(both, BENCH, chance));
		const named = explanations.map(({ happened }) =>
			happened.map(({ happening }) => happening).join('+')
		);
		expect(named).toContain('locks-pulled');
		expect(named).toContain('seat-sank+tip-worn');
		expect(['tip-length', 'head-below-deck']).toContain(parts);
		const parted = whatHappened(read(both, ALL, chance));
		expect(parted.explanations).toHaveLength(1);
		expect(parted.parts).toBeNull();
	});
	it('is told with amounts whose interval holds the truth in 93 of 100', () => {
		const chance = dice(7);
		let [held, all] = [0, 0];
		for (let i = 0; i < 600; i++) {
			const happening = chance.pick(HAPPENINGS);
			const amount = amountOf(happening, chance);
			const { explanations } = whatHappened(read({ [happening]: amount }, ALL, chance));
			const found = explanations
				.flatMap(({ happened }) => happened)
				.find((one) => one.happening === happening);
			if (!found) continue;
			all++;
			if (Math.abs(found.amount - amount) <= found.uncertainty) held++;
		}
		expect(all).toBeGreaterThan(550);
		expect(held / all).toBeGreaterThanOrEqual(0.93);
	});
	it('is told of one quantity alone, by all that move it', () => {
		const { explanations, fitsNone } = whatHappened({ height: { by: 0.4, uncertainty: 0.03 } });
		expect(fitsNone).toBe(false);
		expect(explanations.flatMap(({ happened }) => happened.map((one) => one.happening))).toEqual(
			expect.arrayContaining(['seat-sank', 'landing-worn'])
		);
		expect(whatHappened({ height: { by: -0.4, uncertainty: 0.03 } }).fitsNone).toBe(true);
	});
	it('fits none where figures contradict each other', () => {
		const odd = {
			height: { by: 0.4, uncertainty: 0.03 },
			'seal-gap': { by: -0.4, uncertainty: 0.06 },
			lash: { by: -0.2, uncertainty: 0.02 }
		};
		expect(whatHappened(odd).fitsNone).toBe(true);
	});
	it('has a signature of its own for each but those that are said to look alike', () => {
		const texts = HAPPENINGS.map((one) => JSON.stringify(SIGNATURES[one]));
		expect(new Set(texts).size).toBe(HAPPENINGS.length);
	});
});

describe('what a load was lost to', () => {
	const curve = (load: number) =>
		cardCurve({ height: mm(46), load: newtons(load) }, newtonsPerMm(60), mm(25));
	const at = (height: number, load: number, tester = 0.01) => ({
		height: { value: height, uncertainty: 0.02 },
		curve: curve(load),
		tester
	});
	it('is parted into the height that grew and the spring that sagged, without a rest', () => {
		const { all, toHeight, toSag } = lossesOf(at(46, LOAD), at(46.3, LOAD * 0.92))!;
		expect(toHeight.by).toBeCloseTo(60 * 0.3, 6);
		expect(toSag.by).toBeCloseTo(LOAD * 0.08, 6);
		expect(all.by).toBeCloseTo(toHeight.by + toSag.by, 9);
		expect(lossesOf(at(46, LOAD), at(80, LOAD))).toBeNull();
	});
	it('holds the truth within what it tells in 93 of 100', () => {
		const { normal, next } = dice(8);
		const held = Array.from({ length: 1000 }, () => {
			const [grew, sag] = [next() * 0.5, next() * 0.12];
			const read = (truth: number) => ({
				value: truth + (normal() * 0.02) / 1.96,
				uncertainty: 0.02
			});
			const tested = (load: number) => ({
				curve: curve(load * (1 + (normal() * 0.01) / 1.96)),
				tester: 0.01
			});
			const losses = lossesOf(
				{ height: read(46), ...tested(LOAD) },
				{ height: read(46 + grew), ...tested(LOAD * (1 - sag)) }
			)!;
			return [
				Math.abs(losses.toHeight.by - 60 * grew) <= losses.toHeight.uncertainty,
				// At the height it stands at now both curves are softer by what it grew.
				Math.abs(losses.toSag.by - LOAD * sag) <= losses.toSag.uncertainty
			];
		});
		for (const which of [0, 1])
			expect(held.filter((one) => one[which]).length / held.length).toBeGreaterThanOrEqual(0.93);
	});
	it('compares nothing that is within what it was read to', () => {
		const change = changeOf(
			{ value: 46.2, uncertainty: 0.02 },
			{ value: 46.22, uncertainty: 0.02 }
		);
		expect(isBeyond(change)).toBe(false);
		expect(isBeyond({ by: -0.03, uncertainty: 0.028 })).toBe(true);
	});
});

describe('all springs that read alike', () => {
	/** Loads now over then of sixteen springs on a tester that is off, some of them sagged. */
	const ratios = (off: number, seed: number, sag: (i: number) => number = () => 0) => {
		const { normal } = dice(seed);
		return Array.from(
			{ length: 16 },
			(_, i) => off * (1 - sag(i)) * (1 + (normal() * 0.015 * Math.SQRT2) / 1.96)
		);
	};
	const single = 0.015 * Math.SQRT2;
	const reference = (off: number) => ({ value: off, uncertainty: 0.01 });
	it('on another tester may be either, until a reference spring was read on both', () => {
		const named = Array.from({ length: 200 }, (_, i) => {
			const part = commonPart(ratios(0.92, i), single);
			return [commonCause(part, false, null), commonCause(part, false, reference(0.92))];
		});
		expect(named.map(([without]) => without)).not.toContain('sag');
		expect(named.map(([, withReference]) => withReference)).not.toContain('sag');
		expect(named.filter(([without]) => without === 'either').length).toBeGreaterThan(190);
		expect(named.filter(([, one]) => one === 'tester').length).toBeGreaterThan(186);
	});
	it('have sagged where the tester is the same, or its reference says so', () => {
		const part = commonPart(ratios(0.92, 1), single)!;
		expect(part.ratio).toBeCloseTo(0.92, 1);
		expect(part.isAlike).toBe(true);
		expect(commonCause(part, true, null)).toBe('sag');
		expect(commonCause(part, false, reference(1))).toBe('sag');
	});
	it('have nothing in common where nothing changed, or they are few', () => {
		const quiet = Array.from({ length: 200 }, (_, i) =>
			commonCause(commonPart(ratios(1, 300 + i), single), false, null)
		);
		expect(quiet.filter((one) => one === 'none').length).toBeGreaterThanOrEqual(190);
		expect(commonPart([0.9, 0.9, 0.9], single)).toBeNull();
	});
	it('is not the tester where springs sagged each in its own way', () => {
		const part = commonPart(
			ratios(1, 9, (i) => 0.02 + 0.01 * i),
			single
		)!;
		expect(part.isAlike).toBe(false);
		expect(commonCause(part, false, null)).toBe('sag');
	});
});
