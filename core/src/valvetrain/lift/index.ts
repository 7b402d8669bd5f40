export * from './lift.ts';
export * from './roller-sweep.ts';
