export * from './apply-to-card.ts';
export * from './spring.ts';
export * from './tallest.ts';
