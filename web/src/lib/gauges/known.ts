import type { Gauge, GaugeCheck } from '@zinc-ledger/core';

/** A gauge of the shop with what it was held against. */
export interface KnownGauge {
	readonly gauge: Gauge;
	readonly checks: readonly GaugeCheck[];
}
