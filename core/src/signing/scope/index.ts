export * from './scope.ts';
