/** The correction in force of a gauge, from its checks. */
import { lengthOf, LENGTH_TEXT, loadOf } from '../units/quantity.ts';
import { correctionFrom, type Correction } from './correction.ts';
import type { GaugeCheck } from './schema.ts';

export type Dimension = 'length' | 'load';

export const dimensionOf = (text: string): Dimension =>
	LENGTH_TEXT.test(text) ? 'length' : 'load';
const valueOf = (text: string): number =>
	dimensionOf(text) === 'length' ? lengthOf(text) : loadOf(text);

/** The checks of one day count together; the newest day's are in force. */
export function checksInForce(checks: readonly GaugeCheck[], dimension: Dimension): GaugeCheck[] {
	const own = checks.filter(({ reference }) => dimensionOf(reference) === dimension);
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
