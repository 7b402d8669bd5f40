export * from './assumed.ts';
export * from './forces.ts';
export * from './of-job.ts';
export * from './sweep.ts';
