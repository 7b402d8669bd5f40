export * from './choice.ts';
export * from './course.ts';
export * from './forces.ts';
export * from './lift-at-top.ts';
export * from './limit-map.ts';
export * from './of-job.ts';
export * from './surge-map.ts';
export * from './sweep.ts';
