export * from './issue.ts';
export * from './message.ts';
export * from './server.ts';
