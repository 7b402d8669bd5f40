export * from './used-springs.ts';
