export * from './card.ts';
export * from './golden-section.ts';
export * from './lobe.ts';
export * from './made-up.ts';
export * from './table.ts';
