/** A kit beside the head it is for. */
import { KINDS, type Kind } from '../../foundation/station/index.ts';
import type { Kit } from './schema.ts';
import { KIT_PLACES, type KitPlace } from './types.ts';

/** The library parts that a kit is made of, each once. */
export const partIdsOf = ({ kinds }: Kit): string[] => [
	...new Set(KINDS.flatMap((kind) => Object.values(kinds[kind])))
];

/** What is in the box of one thing, against what the head needs of it. */
export interface BoxLine {
	readonly place: KitPlace;
	/** Null where nobody counted. */
	readonly holds: number | null;
	readonly needs: number;
}

/**
 * The box against the head: of everything that the kit fits, one is needed at every
 * valve of the kinds that have it; locks in pairs. Source: docs/trade/parts.md#kits, a kit counts without spares.
 *
 * @param valves how many valves of each kind the head has
 * @example boxAgainst(kit, { intake: 8, exhaust: 8 }) // [{ place: 'spring', holds: 16, needs: 16 }, …]
 */
export function boxAgainst(kit: Kit, valves: Readonly<Record<Kind, number>>): BoxLine[] {
	return KIT_PLACES.flatMap((place) => {
		const needs = KINDS.reduce((sum, kind) => sum + (kit.kinds[kind][place] ? valves[kind] : 0), 0);
		const holds = kit.box[place] ?? null;
		return needs === 0 && holds === null ? [] : [{ place, holds, needs }];
	});
}

/** Lines of the box that hold less than the head needs. */
export const shortInBox = (lines: readonly BoxLine[]): BoxLine[] =>
	lines.filter(({ holds, needs }) => holds !== null && holds < needs);
