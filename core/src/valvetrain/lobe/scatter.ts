/**
 * How far the figures of a lift table scatter, and which of them do not fit the rest: from the
 * table itself, whatever its last digit promises (docs/trade/valvetrain.md#control).
 */
import { MAD_TO_SIGMA, median } from '../../foundation/station/index.ts';
import { fit } from '../../foundation/least-squares/index.ts';
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import type { TableLine } from './table-line.ts';

/** The order of the differences: next to nothing of a smooth lobe is left in them, even at 5° a line. */
const ORDER = 6;
/** Neighbors on each side, and the degree of the polynomial through them, that a figure is compared with. */
const NEIGHBORS = 6;
const NEIGHBOR_DEGREE = 4;
/**
 * A figure this many standard deviations off its neighbors is wrong; the fewer the lines, the less is
 * known of their scatter, and the further off it must be. Chosen on trials: bench:tables.
 */
const wrongBeyond = (lines: number) => 4.1 * (1 + 12 / lines);
/** Without a wrong figure its neighbors are off by less than this part of what it was. */
const FITS = 0.6;
/** More wrong figures than this are not looked for: the table is not one. */
const MOST_WRONG = 5;

/** The difference of highest order over a few lines, scaled to scatter as much as one figure does. */
function difference(window: readonly TableLine[]): number {
	const weights = window.map(({ degree }) =>
		window.reduce(
			(product, other) => (other.degree === degree ? product : product / (degree - other.degree)),
			1
		)
	);
	return window.reduce((sum, { lift }, i) => sum + weights[i]! * lift, 0) / Math.hypot(...weights);
}

/**
 * Returns the standard deviation of a figure of a table, from its sixth differences. It is their
 * median, so that neither a wrong figure nor the corner where flank meets ramp counts.
 *
 * @param table lines of the lobe, its base circle left out, in the order of their angles
 * @param rounding what the table was rounded to, in mm
 * @returns mm; that of the rounding alone unless the table scatters by clearly more
 */
export function scatterOf(table: readonly TableLine[], rounding: Millimetres): Millimetres {
	const ofRounding = rounding / Math.sqrt(12);
	const windows = Math.max(0, table.length - ORDER);
	const differences = Array.from({ length: windows }, (_, from) =>
		Math.abs(difference(table.slice(from, from + ORDER + 1)))
	);
	const found = MAD_TO_SIGMA * median(differences);
	return mm(found > ofRounding * (1 + 3 / Math.sqrt(windows)) ? found : ofRounding);
}

/**
 * Returns the lines whose lift does not fit that of their neighbors, the worst first: typing errors.
 * Where a lobe turns more sharply than a polynomial follows, several lines in a row are off; a wrong
 * figure is one whose neighbors fit each other once it is left out.
 *
 * @param table in the order of the angles
 * @param scatter standard deviation of a good figure, in mm
 */
export function wrongLines(table: readonly TableLine[], scatter: number): TableLine[] {
	const wrong: TableLine[] = [];
	const wrongFrom = wrongBeyond(table.length);
	let left = table;
	while (wrong.length < MOST_WRONG) {
		const sizes = left.map((_, i) => Math.abs(offNeighbors(left, i)));
		// With lines far apart, a polynomial follows no lobe as closely as its figures are known.
		const usual = Math.max(scatter, MAD_TO_SIGMA * median(sizes));
		const off = sizes.map((size) => size / usual);
		const suspects = off.flatMap((one, i) =>
			one >= wrongFrom &&
			one === Math.max(...off.slice(Math.max(0, i - NEIGHBORS), i + NEIGHBORS + 1))
				? [i]
				: []
		);
		const worst = suspects
			.toSorted((a, b) => off[b]! - off[a]!)
			.find((i) => {
				const others = left.filter((_, j) => j !== i);
				return range(i - NEIGHBORS, i + NEIGHBORS).every(
					(j) => !others[j] || Math.abs(offNeighbors(others, j)) / usual < off[i]! * FITS
				);
			});
		if (worst === undefined) break;
		wrong.push(left[worst]!);
		left = left.filter((_, i) => i !== worst);
	}
	return wrong;
}

const range = (from: number, to: number) =>
	Array.from({ length: to - from }, (_, i) => from + i).filter((i) => i >= 0);

/** How far a figure is off the polynomial through it and its neighbors, scaled to scatter as much as one figure does. */
function offNeighbors(table: readonly TableLine[], i: number): number {
	const from = Math.max(0, Math.min(i - NEIGHBORS, table.length - 2 * NEIGHBORS - 1));
	const near = table.slice(from, from + 2 * NEIGHBORS + 1);
	const { degree, lift } = table[i]!;
	const reach = Math.max(...near.map((line) => Math.abs(line.degree - degree)));
	const found = fit(
		near.map((line) =>
			Float64Array.from(
				{ length: NEIGHBOR_DEGREE + 1 },
				(_, power) => ((line.degree - degree) / reach) ** power
			)
		),
		Float64Array.from(near, (line) => line.lift),
		new Float64Array(near.length).fill(1)
	);
	// The polynomial's value here is its constant; what it owes to the figure itself lessens what is left.
	const share = found ? 1 - found.deviations[0]! ** 2 : 0;
	return share > 0.05 ? (lift - found!.coefficients[0]!) / Math.sqrt(share) : 0;
}
