export * from './adjuster.ts';
export * from './lash.ts';
export * from './orders.ts';
