export type * from './schema.ts';
export * from './faults.ts';
export * from './kit.ts';
export * from './types.ts';
