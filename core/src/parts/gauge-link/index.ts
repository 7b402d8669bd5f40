export * from './line.ts';
export * from './peak.ts';
