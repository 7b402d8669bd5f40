/**
 * Whether a part was forgotten, or there after all, when a whole head was measured:
 * every valve off its aim by the thickness of the same part (docs/trade/sheet.md).
 */
import { mm, type Millimetres } from '../units/index.ts';

export const FORGETTABLE = ['locator', 'shims', 'locks'] as const;
export type Forgettable = (typeof FORGETTABLE)[number];

/** One measured station: how far from its aim, and by how much each part would have moved it. */
export interface HeadHeight {
	/** Height less aim. */
	readonly off: Millimetres;
	/** What the height would be off by, had the reading been wrong about this part; null where it has none. */
	readonly wouldBe: Readonly<Record<Forgettable, Millimetres | null>>;
}

/** Fewer measured stations say nothing of a whole head. */
const FEWEST = 4;

/**
 * The part that explains a whole head, and how far it moved it; null where none does.
 *
 * @param within how far a single station may lie from what the part explains; a part
 * no thicker than twice that cannot be told from a head that is right
 *
 * @example four stations 1.50 to 1.55 mm tall, locator 1.524 mm, within 0.25: the locator
 */
export function forgottenPart(
	stations: readonly HeadHeight[],
	within: Millimetres
): { readonly part: Forgettable; readonly by: Millimetres } | null {
	if (stations.length < FEWEST) return null;
	for (const part of FORGETTABLE) {
		const isAll = stations.every(({ off, wouldBe }) => {
			const by = wouldBe[part];
			return by !== null && Math.abs(by) > 2 * within && Math.abs(off - by) <= within;
		});
		if (isAll) return { part, by: mm(stations[0]!.wouldBe[part]!) };
	}
	return null;
}
