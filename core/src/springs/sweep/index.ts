export * from './bind.ts';
export * from './figures.ts';
export * from './identity.ts';
export * from './points.ts';
export type * from './schema.ts';
export * from './set.ts';
export * from './sweep.ts';
export * from './synthetic.ts';
