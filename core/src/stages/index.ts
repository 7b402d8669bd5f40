export * from './parts-needed.ts';
export * from './stages.ts';
