export * from './uncertainty.ts';
export * from './verdict.ts';
