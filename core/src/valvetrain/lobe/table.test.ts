import { describe, expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { camDegrees, durationAt, type Lobe, type LobeMotion } from './lobe.ts';
import { madeUpLobe } from './made-up.ts';
import { bothSides, roundingOf, tableFaults, tableLobe, type TableLine } from './table.ts';

const INCH = 0.0254;
const lobe = madeUpLobe({ lift: mm(9), durations: [{ lift: mm(1.27), degrees: 250 }] });

type Known = Pick<Lobe, 'at' | 'opens' | 'closes'>;

/** The lift of a lobe over degrees of the cam, rounded. */
function tableOf(of: Known, step: number, off = 0, rounding = INCH): TableLine[] {
	const [first, last] = [of.opens, of.closes].map((angle) => angle / camDegrees(1));
	const lines: TableLine[] = [];
	for (
		let degree = Math.floor(first! / step) * step + off - 2 * step;
		degree <= last! + 3 * step;
		degree += step
	)
		lines.push({ degree, lift: Math.round(of.at(camDegrees(degree)).lift / rounding) * rounding });
	return lines;
}

describe('a lift table', () => {
	const table = tableOf(lobe, 1);
	it('knows what it was rounded to', () => {
		expect(roundingOf(table)).toBe(INCH);
		expect(
			roundingOf([
				{ degree: 0, lift: 9.01 },
				{ degree: 1, lift: 8.99 }
			])
		).toBe(0.01);
	});
	it('becomes a lobe with its lift and duration, and says how far it lies from the table', () => {
		const read = tableLobe(table);
		expect(read.peak).toBeCloseTo(9, 1);
		expect(Math.abs(durationAt(read, 1.27) - 250)).toBeLessThan(0.5);
		expect(read.residual).toBeLessThan(INCH / 2);
		expect(read.isTooCoarse).toBe(false);
		expect(read.at(read.closes + 0.1).lift).toBe(0);
	});
	it('that ends above a lift holds it to its end', () => {
		const cut = tableLobe(table.filter(({ degree }) => Math.abs(degree) < 86));
		expect(durationAt(cut, 0.001)).toBeCloseTo((cut.closes - cut.opens) * (360 / Math.PI), 6);
	});
	it('of one side is the same on the other', () => {
		const half = table.filter(({ degree }) => degree >= 0);
		expect(bothSides(half).map(({ degree }) => degree)).toContain(-5);
		expect(tableLobe(half).at(-0.5).lift).toBeCloseTo(tableLobe(half).at(0.5).lift, 3);
	});
	it('has its faults named', () => {
		const changed = (at: number, lift: number) =>
			table.map((line, i) => (i === at ? { ...line, lift } : line));
		expect(tableFaults(table)).toEqual([]);
		expect(tableFaults(table.slice(0, 8))).toEqual(['too-few-lines']);
		expect(tableFaults([...table, table[40]!])).toEqual(['one-angle-twice']);
		expect(tableFaults(changed(40, 0))).toEqual(['not-one-peak']);
		expect(tableFaults(table.filter(({ degree }) => Math.abs(degree) < 45))).toEqual([
			'does-not-close'
		]);
		expect(() => tableLobe(changed(40, 0))).toThrow(RangeError);
	});
	it('that is too coarse says so', () => {
		for (const [step, rounding] of [
			[8, 0.5],
			[10, 0.5]
		] as const) {
			const { rounding: read, isTooCoarse } = tableLobe(tableOf(lobe, step, 0, rounding));
			expect({ read, isTooCoarse }).toEqual({ read: rounding, isTooCoarse: true });
		}
	});
});

/** Numbers between 0 and 1, the same ones every time. */
function draws(seed: number): () => number {
	let state = seed;
	return () => {
		state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
		return state / 4_294_967_296;
	};
}

const FLANKS = [
	madeUpLobe({ lift: mm(9), durations: [{ lift: mm(1.27), degrees: 250 }] }),
	...[155, 165, 172].map((degrees) =>
		madeUpLobe({
			lift: mm(9),
			durations: [
				{ lift: mm(1.27), degrees: 260 },
				{ lift: mm(5.08), degrees }
			],
			ramp: { height: mm(0.25), perDegree: mm(0.015) }
		})
	)
];

/** A lobe of one of a few flanks, stretched, one side longer than the other, with waves that no family of ours has. */
function drawn(draw: () => number): Known {
	const flank = FLANKS[Math.floor(FLANKS.length * draw())]!;
	const [higher, longer, aslant] = [
		0.75 + 0.5 * draw(),
		0.9 + 0.2 * draw(),
		0.08 * (2 * draw() - 1)
	];
	const waves = [
		{ high: 0.02 * draw(), long: camDegrees(35 + 30 * draw()), begins: 6 * draw() },
		{ high: 0.004 * draw(), long: camDegrees(18 + 10 * draw()), begins: 6 * draw() }
	];
	const on = (angle: number) => (angle * (1 + aslant * angle)) / longer;
	const reach = 0.7 * flank.closes * longer;
	const wave = (angle: number) =>
		Math.abs(angle) >= reach
			? 0
			: (1 - (angle / reach) ** 2) ** 5 *
				waves.reduce(
					(sum, { high, long, begins }) =>
						sum + high * Math.cos((2 * Math.PI * angle) / long + begins),
					0
				);
	const lift = (angle: number) => higher * flank.at(on(angle)).lift + wave(angle);
	const near = 1e-3;
	return {
		opens: -flank.closes * longer * 1.15,
		closes: flank.closes * longer * 1.15,
		at: (angle): LobeMotion => ({
			...flank.at(0),
			lift: lift(angle),
			acceleration: (lift(angle + near) - 2 * lift(angle) + lift(angle - near)) / near ** 2
		})
	};
}

/** The angle at which a usual spring is the first to lose its valve, and √(F/|z″|) there. */
function limitOf({ at }: Known): { angle: number; limit: number } {
	let min = { angle: 0, limit: Number.POSITIVE_INFINITY };
	for (let angle = -1; angle <= 1; angle += 0.01) {
		const { lift, acceleration } = at(angle);
		if (lift < 0.2 || acceleration >= 0) continue;
		const limit = Math.sqrt((550 + 90 * lift) / -acceleration);
		if (limit < min.limit) min = { angle, limit };
	}
	return min;
}

const median = (list: readonly number[]) => list.toSorted((a, b) => a - b)[list.length >> 1]!;

const LOBES = 200;
/** Steps in degrees of the cam, and the widest median half-width of the limit's band. */
const TOLD = { 1: 0.05, 2: 0.1, 5: 0.1 } as const;

describe.each([1, 2, 5] as const)(`${LOBES} tables rounded to 0.001 in, every %i°`, (step) => {
	const draw = draws(step);
	const each = Array.from({ length: LOBES }, () => {
		const known = drawn(draw);
		const read = tableLobe(tableOf(known, step, step * draw()));
		let [squares, peak, angles] = [0, 0, 0];
		for (let angle = -1; angle <= 1; angle += 0.02, angles++) {
			const truth = known.at(angle).acceleration;
			squares += (read.at(angle).acceleration - truth) ** 2;
			peak = Math.max(peak, Math.abs(truth));
		}
		const [truth, estimate] = [limitOf(known), limitOf(read)];
		const { acceleration } = read.at(estimate.angle);
		return {
			acceleration: Math.sqrt(squares / angles) / peak,
			limit: Math.abs(estimate.limit / truth.limit - 1),
			// A limit goes by the root of the acceleration.
			half: read.uncertainty(estimate.angle) / Math.abs(acceleration) / 2
		};
	});
	it('tell the acceleration to a twentieth of its peak and the limit to 1.2 % at one degree', () => {
		const [acceleration, limit] = [
			median(each.map((one) => one.acceleration)),
			median(each.map((one) => one.limit))
		];
		expect(acceleration).toBeLessThan(0.05);
		if (step === 1) expect(limit).toBeLessThan(0.012);
	});
	it('hold the true limit within the band that is told, which is no wider than it need be', () => {
		const held = each.filter(({ limit, half }) => limit <= half).length;
		const half = median(each.map((one) => one.half));
		expect(held / LOBES).toBeGreaterThanOrEqual(0.95);
		expect(half).toBeLessThan(TOLD[step]);
	});
});
