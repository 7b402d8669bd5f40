export * from './compliant.ts';
export * from './pressure.ts';
export * from './rigid-limit.ts';
export * from './surge.ts';
