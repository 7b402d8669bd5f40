/** Cubic and higher splines on even knots, as sums of B-splines: values, derivatives and their weights. */

/** A spline of a degree over even cells from where it begins. */
export interface EvenSpline {
	readonly degree: number;
	readonly from: number;
	readonly cell: number;
	/** One more than its cells for each degree. */
	readonly coefficients: Float64Array;
}

/** The B-splines of a degree that reach over a point `t` of a cell, 0 to 1: one more of them than the degree. */
export function bSplines(degree: number, t: number): Float64Array {
	let values = Float64Array.of(1);
	for (let d = 1; d <= degree; d++) {
		const next = new Float64Array(d + 1);
		for (let i = 0; i < d; i++) {
			next[i + 1]! += (values[i]! * (t + d - 1 - i)) / d;
			next[i]! += (values[i]! * (1 - t + i)) / d;
		}
		values = next;
	}
	return values;
}

/** Differences of an order, as weights: −1, 1 for the first. */
export function differences(order: number): Float64Array {
	let weights: Float64Array = Float64Array.of(1);
	for (let k = 0; k < order; k++) weights = differenced(weights);
	return weights;
}

function differenced(weights: Float64Array): Float64Array {
	const next = new Float64Array(weights.length + 1);
	weights.forEach((weight, i) => {
		next[i]! -= weight;
		next[i + 1]! += weight;
	});
	return next;
}

/** Which cell holds a place, and where in it; places beyond the ends belong to the last cell there. */
export function cellOf(place: number, from: number, cell: number, cells: number) {
	const at = (place - from) / cell;
	const index = Math.min(cells - 1, Math.max(0, Math.floor(at)));
	return { index, t: at - index };
}

/** Weights of a cell's coefficients in the derivative of an order there, in units of the cell. */
export function derivativeWeights(degree: number, order: number, t: number): Float64Array {
	let weights = bSplines(degree - order, t);
	for (let k = 0; k < order; k++) weights = differenced(weights);
	return weights;
}

/** The derivative of an order at a place; the value itself for order 0. */
export function splineAt(spline: EvenSpline, place: number, order = 0): number {
	const { degree, from, cell, coefficients } = spline;
	const { index, t } = cellOf(place, from, cell, coefficients.length - degree);
	let sum = 0;
	derivativeWeights(degree, order, t).forEach((weight, i) => {
		sum += weight * coefficients[index + i]!;
	});
	return sum / cell ** order;
}
