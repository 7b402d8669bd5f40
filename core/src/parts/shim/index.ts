export * from './shim.ts';
