/** Which parts a kit is made of. */
import type { StationPart } from '../part/index.ts';

/** Places of the stack that a kit fills, in the order of its box. */
export const KIT_PLACES = [
	'spring',
	'retainer',
	'locks',
	'locator',
	'seal',
	'lashCap'
] as const satisfies readonly StationPart[];
export type KitPlace = (typeof KIT_PLACES)[number];

/** What a kit's paper asks for by name, or forbids. */
export const KIT_ASKS = ['seal', 'locator'] as const satisfies readonly KitPlace[];
export type KitAsk = (typeof KIT_ASKS)[number];
