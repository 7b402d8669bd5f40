export * from './of-job.ts';
export * from './swap.ts';
