export * from './parts-needed.ts';
export * from './stages.ts';
export * from './wants.ts';
