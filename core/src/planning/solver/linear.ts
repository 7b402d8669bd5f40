/** A linear program of choices, as whatever solver there is understands it. */
import { scarceParts } from './dominated.ts';
import type { Choice, Problem } from './problem.ts';

/** Columns between 0 and 1, each with a cost and its entries in rows; rows between two bounds. */
export interface LinearModel {
	readonly costs: Float64Array;
	readonly lower: Float64Array;
	readonly upper: Float64Array;
	/** Where each column's entries begin, one more than there are columns. */
	readonly starts: Int32Array;
	readonly rows: Int32Array;
	readonly values: Float64Array;
	readonly whole: boolean;
}

export interface LinearAnswer {
	readonly type: 'optimal' | 'infeasible' | 'stopped';
	readonly objective: number;
	readonly columns: Float64Array;
	/** What each column's cost could fall by before it would come in; empty for whole numbers. */
	readonly reduced: Float64Array;
}

/** Solves one model; `seconds` is the longest it may take. */
export type LinearSolver = (model: LinearModel, seconds: number) => LinearAnswer;

/** The model of choosing one of `columns` for every station, within springs and stock. */
export function modelOf(
	problem: Problem,
	columns: readonly Choice[],
	cost: (choice: Choice) => number,
	whole: boolean
): LinearModel {
	const scarce = [...scarceParts(problem)];
	const stockRow = new Map(scarce.map((part, i) => [part, problem.stations + problem.springs + i]));
	const rowCount = problem.stations + problem.springs + scarce.length;
	const lower = new Float64Array(rowCount);
	const upper = new Float64Array(rowCount).fill(1);
	lower.fill(1, 0, problem.stations);
	scarce.forEach((part, i) => {
		upper[problem.stations + problem.springs + i] = problem.stock[part]!;
	});
	const starts = new Int32Array(columns.length + 1);
	const rows: number[] = [];
	const values: number[] = [];
	columns.forEach((choice, i) => {
		rows.push(choice.station);
		values.push(1);
		if (choice.spring !== null) {
			rows.push(problem.stations + choice.spring);
			values.push(1);
		}
		for (const [part, count] of choice.takes) {
			const row = stockRow.get(part);
			if (row === undefined || count === 0) continue;
			rows.push(row);
			values.push(count);
		}
		starts[i + 1] = rows.length;
	});
	return {
		costs: Float64Array.from(columns, cost),
		lower,
		upper,
		starts,
		rows: Int32Array.from(rows),
		values: Float64Array.from(values),
		whole
	};
}
