/** A degree-wheel round that is not finished, as the browser keeps it. */
import type { WheelRound } from '@zinc-ledger/core';

export const EMPTY_ROUND: WheelRound = { start: 0, at: 'lobe', passes: [[], []] };

/** A round out of what the browser kept; an empty one where that cannot be read. */
export function storedRound(text: string | null): WheelRound {
	try {
		const { start, at, passes } = JSON.parse(text ?? '') as WheelRound;
		const isSound =
			Number.isFinite(start) &&
			['lobe', 'valve'].includes(at) &&
			passes.length === 2 &&
			passes.every((pass) => pass.every((lift) => Number.isFinite(lift)));
		return isSound ? { start, at, passes } : EMPTY_ROUND;
	} catch {
		return EMPTY_ROUND;
	}
}
