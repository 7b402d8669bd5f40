/**
 * Weighted linear least squares for a handful of unknowns, by the normal equations and
 * Cholesky's factorization.
 */

/** A fit with what it says of itself. */
export interface Fit {
	readonly coefficients: Float64Array;
	/** Standard deviation of each coefficient. */
	readonly deviations: Float64Array;
	/** Weighted sum of the squares that the fit leaves. */
	readonly left: number;
}

/**
 * Returns the coefficients of the basis functions that come nearest to some values.
 *
 * @param basis value of each basis function at each point, point by point
 * @param values one measured value a point
 * @param weights 1 ÷ variance of each point
 * @returns null when the points cannot tell the basis functions apart
 * @example leastSquares([[1, 0], [1, 1]], [2, 5], [1, 1]) is [2, 3]: the line 2 + 3 x
 */
export function leastSquares(
	basis: readonly Float64Array[],
	values: Float64Array,
	weights: Float64Array
): Float64Array | null {
	const lower = factor(basis, weights);
	if (!lower) return null;
	const count = basis[0]?.length ?? 0;
	const right = new Float64Array(count);
	for (let p = 0; p < basis.length; p++) {
		const row = basis[p]!;
		for (let i = 0; i < count; i++) right[i]! += row[i]! * weights[p]! * values[p]!;
	}
	return backward(lower, forward(lower, right));
}

/**
 * Returns the same coefficients with their standard deviations and what the fit leaves.
 *
 * @param weights 1 ÷ variance of each point, in the values' own unit
 */
export function fit(
	basis: readonly Float64Array[],
	values: Float64Array,
	weights: Float64Array
): Fit | null {
	const coefficients = leastSquares(basis, values, weights);
	const lower = coefficients && factor(basis, weights);
	if (!coefficients || !lower) return null;
	// The variance of a coefficient is its place on the diagonal of (LLᵀ)⁻¹.
	const deviations = coefficients.map((_, i) => {
		const unit = new Float64Array(coefficients.length);
		unit[i] = 1;
		return Math.sqrt(forward(lower, unit).reduce((sum, one) => sum + one * one, 0));
	});
	const left = basis.reduce((sum, row, p) => {
		const fitted = row.reduce((all, one, k) => all + one * coefficients[k]!, 0);
		return sum + weights[p]! * (values[p]! - fitted) ** 2;
	}, 0);
	return { coefficients, deviations, left };
}

/** The lower triangle L of the normal equations LLᵀ, row by row; null where they are singular. */
function factor(basis: readonly Float64Array[], weights: Float64Array): Float64Array | null {
	const count = basis[0]?.length ?? 0;
	const lower = new Float64Array(count * count);
	for (let p = 0; p < basis.length; p++) {
		const row = basis[p]!;
		for (let i = 0; i < count; i++) {
			const weighted = row[i]! * weights[p]!;
			for (let j = 0; j <= i; j++) lower[i * count + j]! += weighted * row[j]!;
		}
	}
	for (let i = 0; i < count; i++) {
		for (let j = 0; j <= i; j++) {
			let sum = lower[i * count + j]!;
			for (let k = 0; k < j; k++) sum -= lower[i * count + k]! * lower[j * count + k]!;
			if (i === j) {
				// Relative to the entry itself: a column that the others explain leaves nothing.
				if (!(sum > lower[i * count + i]! * 1e-12)) return null;
				lower[i * count + i] = Math.sqrt(sum);
			} else {
				lower[i * count + j] = sum / lower[j * count + j]!;
			}
		}
	}
	return lower;
}

/** Solves L x = right, in place. */
function forward(lower: Float64Array, right: Float64Array): Float64Array {
	const count = right.length;
	for (let i = 0; i < count; i++) {
		for (let k = 0; k < i; k++) right[i]! -= lower[i * count + k]! * right[k]!;
		right[i]! /= lower[i * count + i]!;
	}
	return right;
}

/** Solves Lᵀ x = right, in place. */
function backward(lower: Float64Array, right: Float64Array): Float64Array {
	const count = right.length;
	for (let i = count - 1; i >= 0; i--) {
		for (let k = i + 1; k < count; k++) right[i]! -= lower[k * count + i]! * right[k]!;
		right[i]! /= lower[i * count + i]!;
	}
	return right;
}
