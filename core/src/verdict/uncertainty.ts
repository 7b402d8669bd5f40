/**
 * The 95 % uncertainty of a figure made from gauge readings. Each reading
 * contributes its gauge's resolution as a uniform distribution
 * (resolution ÷ √12); contributions add in quadrature and the result is
 * covered by 1.96 standard deviations.
 *
 * @param resolutions of the gauges behind the figure, in the figure's unit
 *
 * @example expandedUncertainty([0.0254]) // 0.01437 mm: a gauge reading 0.001 in
 */
export function expandedUncertainty(resolutions: readonly number[]): number {
	const variance = resolutions.reduce((sum, resolution) => sum + resolution ** 2 / 12, 0);
	return 1.96 * Math.sqrt(variance);
}
