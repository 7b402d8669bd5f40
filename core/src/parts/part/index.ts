export type * from './schema.ts';
export * from './types.ts';
