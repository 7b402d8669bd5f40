export * from './job-diagnosis.ts';
