export * from './then-and-now.ts';
