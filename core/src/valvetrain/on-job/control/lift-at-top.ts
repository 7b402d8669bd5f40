/** How far a cam lifts a valve about the top dead centre of the gas exchange, where pistons come near (docs/trade/job.md#head-work). */
import type { Setup } from '../../../job/document/index.ts';
import { lobeOf, trainRatio } from '../../../sheet/figures/index.ts';
import { crankDegrees } from '../../lobe/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import { lengthOf, mm, type Millimetres } from '../../../foundation/units/index.ts';

/** Degrees of the crankshaft from top dead centre at which valves are usually nearest: an intake after it, an exhaust before. */
export const USUALLY_NEAREST = 10;

/**
 * Lift at the valve, less its lash.
 *
 * @param off degrees of the crankshaft from top dead centre towards the lobe's nose
 * @returns null where lobe, ratio or the card's opening and closing are not known
 */
export function liftAtTop(setup: Setup, kind: Kind, off = 0): Millimetres | null {
	const card = setup.cam?.[kind];
	const lobe = lobeOf(setup, kind)?.lobe;
	const parts = setup.kinds[kind];
	const ratio = trainRatio(setup, parts);
	if (!lobe || ratio === null || card?.opens === undefined || card.closes === undefined)
		return null;
	// The nose lies midway between opening and closing; half a turn parts the dead centres.
	const [near, far] = kind === 'intake' ? [card.opens, card.closes] : [card.closes, card.opens];
	const nose = (180 + far - near) / 2;
	const lash = setup.lifters === 'solid' ? lengthOf(parts.lash?.setting ?? '0 mm') : 0;
	return mm(Math.max(0, ratio * lobe.at(crankDegrees(nose - off)).lift - lash));
}
