export * from './clearance.ts';
