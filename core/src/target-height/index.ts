export * from './target.ts';
