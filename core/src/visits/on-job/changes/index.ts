export * from './common.ts';
export * from './visit-comparison.ts';
export type { QuantityComparison, StationComparison } from './station-comparison.ts';
