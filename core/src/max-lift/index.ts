export * from './ladder.ts';
export * from './limits.ts';
