/** HiGHS as the solver of a plan's models. */
import type { Highs } from 'highs';
import type { LinearAnswer, LinearModel, LinearSolver } from './linear.ts';

/** A solver from a loaded HiGHS; one model at a time, freed after use. */
export function highsSolver(highs: Highs): LinearSolver {
	const { modelStatus, variableType } = highs.constants;
	return (
		{ costs, lower, upper, starts, rows, values, whole }: LinearModel,
		seconds
	): LinearAnswer => {
		const columns = costs.length;
		return highs.withModel(
			{
				numCols: columns,
				numRows: lower.length,
				colCost: costs,
				colLower: new Float64Array(columns),
				colUpper: new Float64Array(columns).fill(1),
				rowLower: lower,
				rowUpper: upper,
				matrix: {
					format: 'csc',
					numRows: lower.length,
					numCols: columns,
					starts,
					indices: rows,
					values
				},
				...(whole && { integrality: new Array(columns).fill(variableType.integer) })
			},
			(model): LinearAnswer => {
				model.options.set({
					output_flag: false,
					time_limit: seconds,
					// Costs are whole numbers: a better answer is better by one.
					...(whole && { mip_rel_gap: 0, mip_abs_gap: 0.9 })
				});
				model.run();
				const status = model.getModelStatus();
				const { colValue, colDual } = model.getSolution();
				return {
					type:
						status === modelStatus.optimal
							? 'optimal'
							: status === modelStatus.infeasible
								? 'infeasible'
								: 'stopped',
					objective: model.getObjectiveValue(),
					columns: colValue,
					reduced: whole ? new Float64Array() : colDual
				};
			}
		);
	};
}
