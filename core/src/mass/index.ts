export * from './mass.ts';
