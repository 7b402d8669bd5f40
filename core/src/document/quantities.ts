/** What is read off a gauge at a station. */
export const QUANTITIES = [
	'installed-height',
	'seal-gap',
	'seal-gap-at-lift',
	'tip-height',
	'rocker-closed',
	'rocker-half-lift',
	'rocker-full-lift',
	'on-head-load',
	'lash',
	'preload',
	'built-height',
	'follower-shim'
] as const;
/** Rocker to retainer, at the three places where it is looked at. */
export const ROCKER_GAPS = ['rocker-closed', 'rocker-half-lift', 'rocker-full-lift'] as const;
export type Quantity = (typeof QUANTITIES)[number];

/** Whether a quantity is read as a load; the others are lengths. */
export const isLoad = (quantity: Quantity): boolean => quantity === 'on-head-load';
