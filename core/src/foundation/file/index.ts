export * from './file.ts';
export * from './version-1.ts';
