export * from './alike.ts';
export * from './finding.ts';
export * from './fit.ts';
export * from './locks.ts';
export * from './remedy.ts';
export * from './rule.ts';
export * from './rules/index.ts';
export * from './companions.ts';
