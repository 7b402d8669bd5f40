export * from './apply.ts';
export * from './builds.ts';
export * from './plan.ts';
export * from './shelf.ts';
export * from './springs-to-place.ts';
export * from './types.ts';
