/** Shims that the suggestions for all stations ask for, beyond those that lie there already. */
import type { StationSheet } from '../figures/index.ts';
import type { Millimetres } from '../../foundation/units/index.ts';

/** Thickness in mm → how many are to be found for it. Source: docs/trade/sheet.md#target-height. */
export function shimsNeeded(stations: readonly StationSheet[]): ReadonlyMap<Millimetres, number> {
	const needed = new Map<Millimetres, number>();
	for (const { shim, stack } of stations) {
		if (shim?.answer.type !== 'fit') continue;
		const kept = [...stack.shims];
		for (const thickness of shim.answer.shims) {
			const held = kept.indexOf(thickness);
			if (held >= 0) kept.splice(held, 1);
			else needed.set(thickness, (needed.get(thickness) ?? 0) + 1);
		}
	}
	return needed;
}
