export * from './entry.ts';
export * from './calculator.ts';
export * from './calculators.ts';
export * from './one-valve.ts';
