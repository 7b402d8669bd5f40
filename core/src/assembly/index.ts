export * from './as-found.ts';
export * from './checking-springs.ts';
export * from './of-job.ts';
export * from './progress.ts';
export * from './seal-height.ts';
export * from './step.ts';
export * from './steps.ts';
