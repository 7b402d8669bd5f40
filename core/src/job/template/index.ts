export type * from './schema.ts';
export * from './template.ts';
