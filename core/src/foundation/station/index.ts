export * from './forgotten.ts';
export * from './layout.ts';
export * from './order.ts';
export * from './outlier.ts';
export * from './stack.ts';
