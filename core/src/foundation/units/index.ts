export * from './display.ts';
export * from './entry.ts';
export * from './quantity.ts';
export type * from './schema.ts';
