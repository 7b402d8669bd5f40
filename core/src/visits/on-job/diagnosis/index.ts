export * from './figure-evidence.ts';
export * from './job-diagnosis.ts';
