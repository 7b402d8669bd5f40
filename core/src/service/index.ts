export * from './service.ts';
