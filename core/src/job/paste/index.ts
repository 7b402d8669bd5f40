export * from './paste.ts';
