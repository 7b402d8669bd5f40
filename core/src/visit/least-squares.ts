/** Weighted least squares of a few columns, solved by the normal equations: three unknowns at most. */

/**
 * The amounts of some columns that come nearest to what was measured.
 *
 * @param columns what one of each leaves in every row
 * @param measured one figure a row
 * @param deviations standard deviation of each row
 * @returns amounts, their standard deviations and the weighted sum of squares that is left; null where the columns are not told apart by these rows
 */
export function weightedFit(
	columns: readonly (readonly number[])[],
	measured: readonly number[],
	deviations: readonly number[]
): {
	readonly amounts: readonly number[];
	readonly deviations: readonly number[];
	readonly left: number;
} | null {
	const weighed = columns.map((column) => column.map((one, row) => one / deviations[row]!));
	const target = measured.map((one, row) => one / deviations[row]!);
	const dot = (a: readonly number[], b: readonly number[]) =>
		a.reduce((sum, one, i) => sum + one * b[i]!, 0);
	const inverse = inverted(weighed.map((a) => weighed.map((b) => dot(a, b))));
	if (!inverse) return null;
	const right = weighed.map((column) => dot(column, target));
	const amounts = inverse.map((row) => dot(row, right));
	const left = target.reduce((sum, one, row) => {
		const told = amounts.reduce((all, amount, k) => all + amount * weighed[k]![row]!, 0);
		return sum + (one - told) ** 2;
	}, 0);
	return { amounts, deviations: inverse.map((row, k) => Math.sqrt(row[k]!)), left };
}

/** A pivot less than this part of the largest entry is none. */
const SINGULAR = 1e-9;

/** The inverse of a small symmetric matrix, by Gauss and Jordan; null where it has none. */
function inverted(matrix: readonly (readonly number[])[]): number[][] | null {
	const size = matrix.length;
	const largest = Math.max(...matrix.flat().map(Math.abs));
	const work = matrix.map((row, i) => [...row, ...row.map((_, k) => (k === i ? 1 : 0))]);
	for (let at = 0; at < size; at++) {
		let pivot = at;
		for (let row = at + 1; row < size; row++)
			if (Math.abs(work[row]![at]!) > Math.abs(work[pivot]![at]!)) pivot = row;
		[work[at], work[pivot]] = [work[pivot]!, work[at]!];
		const by = work[at]![at]!;
		if (Math.abs(by) <= SINGULAR * largest) return null;
		work[at] = work[at]!.map((one) => one / by);
		for (let row = 0; row < size; row++) {
			if (row === at) continue;
			const factor = work[row]![at]!;
			work[row] = work[row]!.map((one, k) => one - factor * work[at]![k]!);
		}
	}
	return work.map((row) => row.slice(size));
}
