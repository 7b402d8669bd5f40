export * from './common.ts';
export * from './pulled-locks.ts';
export * from './visit-comparison.ts';
export type { QuantityComparison, StationComparison } from './station-comparison.ts';
