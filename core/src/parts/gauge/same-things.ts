/** What two gauges were both tried on, and the factor of an on-head tester. Source: docs/trade/springs.md. */
import { siOf } from '../../foundation/units/index.ts';
import { headFactor } from './correction.ts';
import { checksInForce, dimensionOf } from './checks.ts';
import type { GaugeCheck } from './schema.ts';

/**
 * Readings of the same springs or standards by two gauges, in SI units: what the first read of
 * each, and what the second did. Things are the same where they are called the same and were
 * read in one dimension; of several checks of the other gauge the first counts.
 */
export function readingsOfSame(
	own: readonly GaugeCheck[],
	other: readonly GaugeCheck[]
): (readonly [number, number])[] {
	return own.flatMap(({ against, read }) => {
		const match = other.find(
			(one) => one.against === against && dimensionOf(one.read) === dimensionOf(read)
		);
		return match ? [[siOf(read), siOf(match.read)] as const] : [];
	});
}

/** Factor of an on-head tester by its checks in force; null without any. */
export const headFactorBy = (checks: readonly GaugeCheck[]): number | null =>
	headFactor(
		checksInForce(checks, 'load').map(({ reference, read }) => ({
			bench: siOf(reference),
			head: siOf(read)
		}))
	);
