export * from './issue.ts';
export * from './message.ts';
