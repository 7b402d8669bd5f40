export * from './check.ts';
export * from './read.ts';
