export * from './checks.ts';
export * from './correction.ts';
export * from './same-things.ts';
export type * from './schema.ts';
export * from './types.ts';
