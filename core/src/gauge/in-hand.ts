/** A gauge of the shop as a reading carries it: with the correction in force now. */
import type { Reading } from '../job/schema.ts';
import { checksInForce, correctionInForce, type Dimension } from './checks.ts';
import type { Gauge, GaugeCheck } from './schema.ts';

const UNIT = { length: 'mm', load: 'N' } as const;

/** What a gauge that does not say reads to. */
const USUAL_RESOLUTION = { length: '0.01 mm', load: '5 N' } as const;

/**
 * The gauge as it stands in a reading. The correction's own error is the
 * scatter of its checks about the line, known only where there are more checks
 * than the line has unknowns.
 */
export function gaugeInHand(
	gauge: Gauge,
	checks: readonly GaugeCheck[],
	dimension: Dimension
): Reading['gauge'] {
	const { gain, offset, residuals } = correctionInForce(checks, dimension);
	const unit = UNIT[dimension];
	const free = checksInForce(checks, dimension).length - (gain === 1 ? 1 : 2);
	const error =
		free > 0 ? Math.sqrt(residuals.reduce((sum, residual) => sum + residual ** 2, 0) / free) : 0;
	return {
		id: gauge.id,
		name: gauge.name,
		resolution:
			(dimension === 'length' ? gauge.resolution : gauge.loadResolution) ??
			USUAL_RESOLUTION[dimension],
		...(gain !== 1 && { gain: Number(gain.toFixed(6)) }),
		correction: `${offset.toFixed(5)} ${unit}`.replace(/^-0\.0+ /, '0 '),
		...(error > 0 && { correctionError: `${error.toFixed(5)} ${unit}` })
	};
}
