export * from './common.ts';
export * from './then-and-now.ts';
export type { QuantityBeside, StationBeside } from './beside.ts';
