export * from './of-job.ts';
