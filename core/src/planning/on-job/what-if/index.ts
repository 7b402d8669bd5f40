export * from './scenario.ts';
export * from './steps.ts';
