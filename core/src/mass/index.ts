export * from './mass.ts';
export * from './following.ts';
