/**
 * Least squares whose rows each touch a few neighbouring unknowns: an orthogonal
 * factorisation kept as a band, so that a smoothing of any strength loses no digits.
 * Source: Givens rotations row by row, as in Golub and Van Loan, Matrix Computations, §5.2.
 */

/** One equation: its weights from an unknown on, and what they are to come to. */
export interface Row {
	readonly from: number;
	readonly weights: Float64Array;
	readonly value: number;
	/** What the whole of it is multiplied by; 1 where nothing is said. */
	readonly factor?: number;
}

/** The triangle R of the equations, a band in each row, and their right side turned with it. */
export interface Factored {
	readonly unknowns: number;
	readonly band: number;
	readonly r: Float64Array;
	readonly turned: Float64Array;
	/** Sum of squares that no choice of the unknowns takes away. */
	readonly left: number;
	/** Logarithm of the determinant of RᵀR. */
	readonly logDeterminant: number;
}

/** @param rows in the order of where they begin; none longer than the band */
export function factored(rows: Iterable<Row>, unknowns: number, band: number): Factored {
	const r = new Float64Array(unknowns * band);
	const turned = new Float64Array(unknowns);
	const work = new Float64Array(band);
	let left = 0;
	for (const { from, weights, value, factor = 1 } of rows) {
		for (let j = 0; j < band; j++) work[j] = factor * (weights[j] ?? 0);
		const rest = takeIn(r, turned, work, from, factor * value);
		left += rest * rest;
	}
	let logDeterminant = 0;
	for (let i = 0; i < unknowns; i++) logDeterminant += 2 * Math.log(Math.abs(r[i * band]!));
	return { unknowns, band, r, turned, left, logDeterminant };
}

/** Turns one row into the triangle. @returns what of its right side is left over */
function takeIn(
	r: Float64Array,
	turned: Float64Array,
	work: Float64Array,
	from: number,
	value: number
): number {
	const band = work.length;
	let rest = value;
	for (let i = from; i < turned.length; i++) {
		const row = i * band;
		const diagonal = r[row]!;
		const first = work[0]!;
		// A row that does not touch this unknown passes it by.
		if (first === 0) {
			for (let j = 1; j < band; j++) work[j - 1] = work[j]!;
			work[band - 1] = 0;
			continue;
		}
		const size = Math.sqrt(diagonal * diagonal + first * first);
		const c = diagonal / size;
		const s = first / size;
		// What is left of the row moves on by one unknown as it is turned.
		for (let j = 0; j < band; j++) {
			const above = r[row + j]!;
			const below = work[j]!;
			r[row + j] = c * above + s * below;
			if (j > 0) work[j - 1] = c * below - s * above;
		}
		work[band - 1] = 0;
		const above = turned[i]!;
		turned[i] = c * above + s * rest;
		rest = c * rest - s * above;
		if (diagonal === 0) return 0;
	}
	return rest;
}

/** The unknowns, from the last one back. */
export function solved({ unknowns, band, r, turned }: Factored): Float64Array {
	const found = turned.slice();
	for (let i = unknowns - 1; i >= 0; i--) {
		let sum = found[i]!;
		for (let j = 1; j < band && i + j < unknowns; j++) sum -= r[i * band + j]! * found[i + j]!;
		found[i] = sum / r[i * band]!;
	}
	return found;
}

/** Variance of a weighted sum of the unknowns, where each equation scatters by one. */
export function varianceOf({ unknowns, band, r }: Factored, row: Omit<Row, 'value'>): number {
	const through = new Float64Array(unknowns);
	through.set(row.weights, row.from);
	let sum = 0;
	for (let i = row.from; i < unknowns; i++) {
		const at = through[i]! / r[i * band]!;
		sum += at * at;
		for (let j = 1; j < band && i + j < unknowns; j++) through[i + j]! -= r[i * band + j]! * at;
	}
	return sum;
}
