export * from './comparison.ts';
export * from './bind.ts';
export * from './curve.ts';
export * from './load-uncertainty.ts';
export * from './of-card.ts';
export * from './way-up.ts';
