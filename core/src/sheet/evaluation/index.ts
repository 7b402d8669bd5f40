export * from './evaluate.ts';
export * from './sheet-json.ts';
export * from './sheet.ts';
export * from './shims-needed.ts';
