export * from './inspection.ts';
