import { describe, expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { normal, randomFrom } from '../../springs/sweep/synthetic.ts';
import { camDegrees, durationAt } from './lobe.ts';
import { madeUpLobe } from './made-up.ts';
import { limitOf, someLobe, type KnownLobe } from './synthetic.ts';
import { bothSides, roundingOf, tableFaults, tableGaps, tableLobe, wrongFigures } from './table.ts';
import type { TableLine } from './table-line.ts';

const INCH = 0.0254;
const lobe = madeUpLobe({ lift: mm(9), durations: [{ lift: mm(1.27), degrees: 250 }] });

/** The lift of a lobe over degrees of the cam, rounded. */
function tableOf(of: KnownLobe, step: number, off = 0, rounding = INCH): TableLine[] {
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
	it('scatters by what it was read to, however many digits it is written with', () => {
		const inHundredths = tableOf(lobe, 1, 0, 0.01);
		const asInches = inHundredths.map(({ degree, lift }) => ({
			degree,
			lift: Number((lift / 25.4).toFixed(5)) * 25.4
		}));
		const [before, after] = [tableLobe(inHundredths), tableLobe(asInches)];
		expect(after.rounding).toBeLessThan(0.001);
		expect(after.scatter / before.scatter).toBeCloseTo(1, 0);
		const limits = [limitOf(before).limit, limitOf(after).limit, limitOf(lobe).limit];
		expect(Math.max(...limits) / Math.min(...limits)).toBeLessThan(1.03);
	});
	it('with lines missing at the nose says where', () => {
		const gapped = table.filter(({ degree }) => Math.abs(degree) > 5);
		expect(tableFaults(gapped)).toEqual(['lines-missing']);
		expect(tableGaps(gapped)).toEqual([[-6, 6]]);
		expect(tableGaps(table)).toEqual([]);
	});
	it('with a typing error of 0.002 in says in which line', () => {
		const at = table.findIndex(({ degree }) => degree === -20);
		const typed = table.map((line, i) =>
			i === at ? { ...line, lift: line.lift + 2 * INCH } : line
		);
		expect(tableFaults(typed)).toEqual(['wrong-figure']);
		expect(wrongFigures(typed)).toEqual([typed[at]]);
		expect(wrongFigures(table)).toEqual([]);
	});
	it('in inches that is labeled as millimeters is named as such', () => {
		const asIfMm = table.map(({ degree, lift }) => ({ degree, lift: lift / 25.4 }));
		expect(tableFaults(asIfMm)).toEqual(['inches-as-mm']);
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

const median = (list: readonly number[]) => list.toSorted((a, b) => a - b)[list.length >> 1]!;

const LOBES = 200;
/** Steps in degrees of the cam, and the widest median half-width of the limit's band. */
const TOLD = { 1: 0.05, 2: 0.1, 5: 0.1 } as const;

describe.each([1, 2, 5] as const)(`${LOBES} tables rounded to 0.001 in, every %i°`, (step) => {
	const draw = randomFrom(step);
	const tables = Array.from({ length: LOBES }, () => {
		const known = someLobe(draw);
		return { known, table: tableOf(known, step, step * draw()) };
	});
	const honest = tables.filter(({ table }) => tableFaults(table).length === 0);
	const each = honest.map(({ known, table }) => {
		const read = tableLobe(table);
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
	it('are accepted but for one in fifty', () => {
		expect(honest.length / LOBES).toBeGreaterThanOrEqual(0.98);
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
		expect(held / each.length).toBeGreaterThanOrEqual(0.95);
		expect(half).toBeLessThan(TOLD[step]);
	});
});

describe('a table off a degree wheel, every 5° with 0.02 mm of scatter', () => {
	const draw = randomFrom(11);
	const each = Array.from({ length: LOBES }, () => {
		const known = someLobe(draw);
		const off = 5 * draw();
		const table = tableOf(known, 5, off, 1e-6).map(({ degree, lift }) => ({
			degree,
			lift: Math.max(0, lift + 0.02 * normal(draw))
		}));
		const lobe = tableFaults(table).length === 0 ? tableLobe(table) : null;
		if (!lobe || lobe.isTooCoarse) return null;
		const [truth, estimate] = [limitOf(known), limitOf(lobe)];
		const { acceleration } = lobe.at(estimate.angle);
		const half = lobe.uncertainty(estimate.angle) / Math.abs(acceleration) / 2;
		return Math.abs(estimate.limit / truth.limit - 1) <= half;
	});
	it('is accepted 8 times in 10 or more, and its band holds the true limit 95 times in 100', () => {
		const accepted = each.filter((one) => one !== null);
		expect(accepted.length / LOBES).toBeGreaterThanOrEqual(0.8);
		expect(accepted.filter(Boolean).length / accepted.length).toBeGreaterThanOrEqual(0.95);
	});
});
