export * from './head-plan.ts';
export * from './scale.ts';
export * from './section-picture.ts';
export * from './section.ts';
export * from './shape.ts';
export * from './strip.ts';
