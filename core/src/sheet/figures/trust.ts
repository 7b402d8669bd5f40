/** How far a load or a bind margin may be trusted: what its spring's figures come from. Source: docs/trade/foundation.md#verdicts. */
import { isUnconfirmed, type Source } from '../../foundation/verdict/index.ts';
import type { KindSheet } from './kind.ts';
import type { FigureName } from './registry.ts';

/** From the firmest: this very spring was tested, one of its set was, its card says so, somebody says so. */
export const TRUSTS = ['tested', 'set', 'card', 'hearsay'] as const;
export type Trust = (typeof TRUSTS)[number];

/** Figures that stand on a spring, and whether on the lift as well. */
const ON_SPRING: Partial<
	Readonly<Record<FigureName, { by: 'spring' | 'bind'; withLift: boolean }>>
> = {
	seatLoad: { by: 'spring', withLift: false },
	openLoad: { by: 'spring', withLift: true },
	bindMargin: { by: 'bind', withLift: true }
};

/**
 * What a figure of a station stands on, the weakest of it.
 *
 * @param hasOwnSpring whether a tagged spring was chosen for the station
 * @returns null for figures that stand on no spring, or whose spring is not known
 * @example trustOf(station.shared, 'seatLoad', false) // 'card'
 */
export function trustOf(
	{ sources }: KindSheet,
	figure: FigureName,
	hasOwnSpring: boolean
): Trust | null {
	const on = ON_SPRING[figure];
	if (!on) return null;
	const ofSpring: readonly (Source | null)[] = on.by === 'bind' ? sources.bind : [sources.spring];
	if (ofSpring.length === 0 || ofSpring.includes(null)) return null;
	const all = on.withLift ? [...ofSpring, sources.lift] : ofSpring;
	if (all.some((source) => source !== null && isUnconfirmed(source))) return 'hearsay';
	if (ofSpring.some((source) => source !== 'tested')) return 'card';
	return hasOwnSpring ? 'tested' : 'set';
}
