/** The height that a seal was found to stand at, against what its record says (docs/trade/sheet.md). */
import { lengthOf, mm, toComparisonStep, type Millimetres } from '../foundation/units/index.ts';
import type { Done } from './progress.ts';
import type { Step } from './step.ts';

export interface SealHeight {
	readonly station: string;
	readonly measured: Millimetres;
	readonly expected: Millimetres;
	/** How much higher it stands; less than 0 for lower. */
	readonly higher: Millimetres;
	/** Further off than the shop takes for read alike: not home, or another seal. */
	readonly isOff: boolean;
}

/**
 * Seals whose height was measured as they went in, and is known.
 *
 * @param tolerance of the shop, in mm
 */
export function sealHeights(
	steps: readonly Step[],
	done: Done,
	tolerance: Millimetres
): SealHeight[] {
	return steps.flatMap(({ key, place, expects }) => {
		const { measured } = done.get(key) ?? {};
		if (measured === undefined || expects === undefined || expects === null) return [];
		const height = lengthOf(measured);
		const higher = mm(height - expects);
		const isOff = toComparisonStep(Math.abs(higher) - tolerance, 'length') > 0;
		return [{ station: place, measured: height, expected: expects, higher, isOff }];
	});
}
