export * from './of-job.ts';
export * from './progress.ts';
export * from './steps.ts';
