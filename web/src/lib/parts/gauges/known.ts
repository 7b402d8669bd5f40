import type { Gauge, GaugeCheck, Quantity, Repeatability } from '@zinc-ledger/core';

/** A gauge of the shop with what it was held against. */
export interface KnownGauge {
	readonly gauge: Gauge;
	readonly checks: readonly GaugeCheck[];
	/** How it repeats by what it was read for, pooled over its repeats on all jobs. */
	readonly repeats?: Readonly<Partial<Record<Quantity, Repeatability>>>;
}
