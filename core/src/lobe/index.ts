export * from './lobe.ts';
export * from './made-up.ts';
