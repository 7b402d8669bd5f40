export * from './plan-sides.ts';
export * from './used-springs.ts';
