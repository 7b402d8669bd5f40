export * from './answer.ts';
export * from './causes.ts';
export * from './evidence.ts';
export * from './next-check.ts';
export * from './weigh.ts';
