export * from './open-items.ts';
