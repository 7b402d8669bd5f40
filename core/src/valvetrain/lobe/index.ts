export * from './card.ts';
export * from './golden-section.ts';
export * from './harmonics.ts';
export * from './lobe.ts';
export * from './made-up.ts';
export * from './read-table.ts';
export * from './table.ts';
export * from './table-line.ts';
