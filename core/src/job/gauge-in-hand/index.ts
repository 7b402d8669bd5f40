export * from './gauge-in-hand.ts';
