export * from './estimated.ts';
export * from './following.ts';
export * from './mass.ts';
