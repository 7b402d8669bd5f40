/** What makes a figure uncertain, all in the figure's own unit. */
export interface Scatter {
	/** Of the gauge: a uniform distribution, resolution ÷ √12. */
	readonly resolution: number;
	/** Repeat readings; their mean scatters by their standard deviation ÷ √n. */
	readonly repeats?: readonly number[];
	/** One standard deviation of the gauge's correction. */
	readonly correction?: number;
}

/**
 * Half-width of the 95 % interval of a figure: gauge resolution, repeat spread
 * and correction error added in quadrature, × 1.96. Source: handbook §5.
 *
 * @example expandedUncertainty({ resolution: 0.0254 }) // 0.01437 mm: a gauge reading 0.001 in
 */
export function expandedUncertainty({ resolution, repeats = [], correction = 0 }: Scatter): number {
	const variance = resolution ** 2 / 12 + meanVariance(repeats) + correction ** 2;
	return 1.96 * Math.sqrt(variance);
}

function meanVariance(values: readonly number[]): number {
	const count = values.length;
	if (count < 2) return 0;
	const mean = values.reduce((sum, value) => sum + value, 0) / count;
	return values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (count - 1) / count;
}
