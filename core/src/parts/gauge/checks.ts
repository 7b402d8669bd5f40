/** The correction in force of a gauge, from its checks. */
import { LENGTH_TEXT, lengthOf, loadOf } from '../../foundation/units/index.ts';
import { correctionFrom, type Correction } from './correction.ts';
import type { GaugeCheck } from './schema.ts';

export type Dimension = 'length' | 'load';

/** Whether a quantity as text is a length or a load: "1.820 in" is a length, "130 lbf" a load. */
export const dimensionOf = (text: string): Dimension =>
	LENGTH_TEXT.test(text) ? 'length' : 'load';
const valueOf = (text: string): number =>
	dimensionOf(text) === 'length' ? lengthOf(text) : loadOf(text);

/** The checks of one day count together; the newest day's are in force. */
export function checksInForce(checks: readonly GaugeCheck[], dimension: Dimension): GaugeCheck[] {
	return newestDay(
		checks.filter(
			({ reference, read }) =>
				dimensionOf(reference) === dimension && dimensionOf(read) === dimension
		)
	);
}

/** Whether a check is a pull on a solid block: the load put on, and how far the dial moved. */
export const isFrameCheck = ({ reference, read }: GaugeCheck): boolean =>
	dimensionOf(reference) === 'load' && dimensionOf(read) === 'length';

/**
 * Returns the stiffness of a tester's frame in N/mm, from its latest test on a solid block, or null
 * if there is none. Source: docs/trade/springs.md.
 *
 * @example 2000 N moved the dial by 0.8 mm: 2500
 */
export function frameStiffness(checks: readonly GaugeCheck[]): number | null {
	const pulls = newestDay(checks.filter(isFrameCheck)).flatMap(({ reference, read }) => {
		const moved = lengthOf(read);
		return moved > 0 ? [loadOf(reference) / moved] : [];
	});
	if (pulls.length === 0) return null;
	return pulls.reduce((sum, pull) => sum + pull, 0) / pulls.length;
}

function newestDay(own: readonly GaugeCheck[]): GaugeCheck[] {
	const newest = own.reduce((day, { at }) => (at.slice(0, 10) > day ? at.slice(0, 10) : day), '');
	return own.filter(({ at }) => at.slice(0, 10) === newest);
}

/** The correction that the checks in force make, in millimetres or newtons. */
export const correctionInForce = (
	checks: readonly GaugeCheck[],
	dimension: Dimension
): Correction =>
	correctionFrom(
		checksInForce(checks, dimension).map(({ reference, read }) => ({
			reference: valueOf(reference),
			read: valueOf(read)
		}))
	);

/** The day a gauge is to be checked again; null before its first check. */
export function dueOn(checks: readonly GaugeCheck[], months: number): string | null {
	const last = checks.reduce((day, { at }) => (at > day ? at : day), '');
	if (last === '') return null;
	const due = new Date(last);
	due.setUTCMonth(due.getUTCMonth() + months);
	return due.toISOString().slice(0, 10);
}
