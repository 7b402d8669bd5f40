export * from './entry.ts';
export * from './sum.ts';
export * from './sums.ts';
