export * from './lift.ts';
