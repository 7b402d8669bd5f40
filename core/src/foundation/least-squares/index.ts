export * from './least-squares.ts';
