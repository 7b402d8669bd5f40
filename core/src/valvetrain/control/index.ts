export * from './assumed.ts';
export * from './compliant.ts';
export * from './motion.ts';
export * from './motion-trace.ts';
export * from './pressure.ts';
export * from './rigid-limit.ts';
export * from './surge.ts';
export { PARTED_ABOVE } from './run.ts';
