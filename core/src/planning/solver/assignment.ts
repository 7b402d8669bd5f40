/**
 * Rows to columns at the least sum of costs, each column once at most: the
 * Hungarian method by shortest augmenting paths, O(rows² × columns).
 * Source: Kuhn 1955; Jonker and Volgenant 1987.
 *
 * @param cost row by row, Infinity where a row must not have a column; no fewer columns than rows
 * @returns the column of each row, or null where no assignment exists
 */
export function assignment(cost: readonly Float64Array[]): number[] | null {
	const rows = cost.length;
	const columns = cost[0]?.length ?? 0;
	const rowPrice = new Float64Array(rows + 1);
	const columnPrice = new Float64Array(columns + 1);
	// Row that has each column; rows and columns are counted from 1, 0 is none.
	const rowOf = new Int32Array(columns + 1);
	for (let row = 1; row <= rows; row++) {
		const min = new Float64Array(columns + 1).fill(Number.POSITIVE_INFINITY);
		const before = new Int32Array(columns + 1);
		const done = new Uint8Array(columns + 1);
		rowOf[0] = row;
		let at = 0;
		do {
			done[at] = 1;
			const from = rowOf[at]!;
			let step = Number.POSITIVE_INFINITY;
			let next = -1;
			for (let column = 1; column <= columns; column++) {
				if (done[column]) continue;
				const reduced = cost[from - 1]![column - 1]! - rowPrice[from]! - columnPrice[column]!;
				if (reduced < min[column]!) {
					min[column] = reduced;
					before[column] = at;
				}
				if (min[column]! < step) {
					step = min[column]!;
					next = column;
				}
			}
			if (next < 0 || step === Number.POSITIVE_INFINITY) return null;
			for (let column = 0; column <= columns; column++) {
				if (done[column]) {
					rowPrice[rowOf[column]!]! += step;
					columnPrice[column]! -= step;
				} else {
					min[column]! -= step;
				}
			}
			at = next;
		} while (rowOf[at] !== 0);
		while (at !== 0) {
			rowOf[at] = rowOf[before[at]!]!;
			at = before[at]!;
		}
	}
	const columnOf = new Array<number>(rows);
	for (let column = 1; column <= columns; column++) {
		if (rowOf[column]! > 0) columnOf[rowOf[column]! - 1] = column - 1;
	}
	return columnOf;
}
