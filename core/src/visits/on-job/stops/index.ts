export * from './stops.ts';
