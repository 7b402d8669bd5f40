export * from './change.ts';
export * from './losses.ts';
export * from './set-trend.ts';
export * from './signatures.ts';
export * from './trend.ts';
export * from './used-spring.ts';
export * from './what-happened.ts';
