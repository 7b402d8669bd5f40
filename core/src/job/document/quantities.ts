import type { ReadAs } from '../../foundation/units/index.ts';
import { INSPECTED } from './inspected.ts';

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
	'follower-shim',
	...INSPECTED
] as const;
/** Rocker to retainer, at the three places where it is looked at. */
export const ROCKER_GAPS = ['rocker-closed', 'rocker-half-lift', 'rocker-full-lift'] as const;
export type Quantity = (typeof QUANTITIES)[number];

const READ_AS: Partial<Record<Quantity, ReadAs>> = {
	'on-head-load': 'load',
	'chamber-volume': 'volume'
};
/** What a quantity is read as: a length, but for a load on the head and the volume of a chamber. */
export const readAs = (quantity: Quantity): ReadAs => READ_AS[quantity] ?? 'length';

/** Whether a quantity is read once for a cylinder, at the first of its valves. */
export const isByCylinder = (quantity: Quantity): boolean => quantity === 'chamber-volume';
