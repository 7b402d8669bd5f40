/**
 * Weighted linear least squares for a handful of unknowns, by the normal
 * equations and Cholesky's factorisation.
 *
 * @param basis value of each basis function at each point, point by point
 * @param weights 1 ÷ variance of each point
 * @returns the coefficients, or null when the points cannot tell them apart
 */
export function leastSquares(
	basis: readonly Float64Array[],
	values: Float64Array,
	weights: Float64Array
): Float64Array | null {
	const count = basis[0]?.length ?? 0;
	const lower = new Float64Array(count * count);
	const right = new Float64Array(count);
	for (let p = 0; p < basis.length; p++) {
		const row = basis[p]!;
		const weight = weights[p]!;
		for (let i = 0; i < count; i++) {
			const weighted = row[i]! * weight;
			right[i]! += weighted * values[p]!;
			for (let j = 0; j <= i; j++) lower[i * count + j]! += weighted * row[j]!;
		}
	}
	for (let i = 0; i < count; i++) {
		for (let j = 0; j <= i; j++) {
			let sum = lower[i * count + j]!;
			for (let k = 0; k < j; k++) sum -= lower[i * count + k]! * lower[j * count + k]!;
			if (i === j) {
				// Relative to what stood there: a column that the others explain leaves nothing.
				if (!(sum > lower[i * count + i]! * 1e-12)) return null;
				lower[i * count + i] = Math.sqrt(sum);
			} else {
				lower[i * count + j] = sum / lower[j * count + j]!;
			}
		}
	}
	for (let i = 0; i < count; i++) {
		for (let k = 0; k < i; k++) right[i]! -= lower[i * count + k]! * right[k]!;
		right[i]! /= lower[i * count + i]!;
	}
	for (let i = count - 1; i >= 0; i--) {
		for (let k = i + 1; k < count; k++) right[i]! -= lower[k * count + i]! * right[k]!;
		right[i]! /= lower[i * count + i]!;
	}
	return right;
}
