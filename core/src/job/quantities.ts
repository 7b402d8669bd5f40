/** What is read off a gauge at a station. */
export const QUANTITIES = ['installed height', 'seal gap', 'tip height', 'lash'] as const;
export type Quantity = (typeof QUANTITIES)[number];
