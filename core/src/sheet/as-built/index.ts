export * from './as-built.ts';
