export type * from './schema.ts';
export * from './kit.ts';
export * from './types.ts';
