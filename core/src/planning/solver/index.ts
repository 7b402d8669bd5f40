export * from './assignment.ts';
export * from './problem.ts';
export * from './solve.ts';
