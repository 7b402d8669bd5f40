export * from './assignment.ts';
export * from './problem.ts';
export * from './shim.ts';
export * from './solve.ts';
