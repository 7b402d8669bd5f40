export { outfitOf } from './from-library.ts';
export * from './ladder.ts';
export * from './limits.ts';
export * from './step.ts';
export * from './tally.ts';
