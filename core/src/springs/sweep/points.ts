import {
	lengthOf,
	mm,
	MM_PER,
	newtons,
	NEWTONS_PER,
	type Millimetres,
	type Newtons
} from '../../foundation/units/index.ts';
import type { Sweep } from './schema.ts';
import type { SweepPoint } from './sweep.ts';

/** Stands as a sweep's tester where its points were typed off a dial. */
export const MANUAL_TESTER = 'manual-entry';

/** Newtons that a millimetre of the tester's frame held when a sweep was taken; null where nobody measured it. */
export const frameOf = ({ correction }: Sweep): number | null => correction?.frame ?? null;

/**
 * What a tester's own figures tell apart: the last digit that it sent of a load.
 *
 * @returns in N
 */
export function loadResolution({ points, loadUnit }: Pick<Sweep, 'points' | 'loadUnit'>): Newtons {
	const decimals = points.reduce(
		(max, [, load]) => Math.max(max, load.split('.')[1]?.length ?? 0),
		0
	);
	return newtons(NEWTONS_PER[loadUnit] / 10 ** decimals);
}

/**
 * How much deeper the inner spring lands with the retainer that will run than it did in the
 * press: by so much the pair goes solid earlier than it was tested to (docs/trade/sheet.md).
 *
 * @returns in mm; null where both have the same step, or the press's retainer was none of a known one
 */
export function deeperThanPressed(
	{ step }: Pick<Sweep, 'step'>,
	retainer: { readonly step: string }
): Millimetres | null {
	if (step === undefined) return null;
	const deeper = mm(lengthOf(retainer.step) - lengthOf(step));
	return Math.abs(deeper) > SAME_STEP ? deeper : null;
}
/** Steps that differ by less, in mm, are the same: one was written in inches, the other in millimetres. */
const SAME_STEP = 0.02;

/**
 * The points of a sweep as heights of the spring itself: corrected, less the
 * fixture, and with the frame's give taken off where it was measured.
 */
export function sweepPoints(sweep: Sweep): SweepPoint[] {
	const { correction } = sweep;
	const fixture = lengthOf(sweep.fixture);
	const [perHeight, perLoad] = [MM_PER[sweep.heightUnit], NEWTONS_PER[sweep.loadUnit]];
	return sweep.points.map(([height, load, travel]) => {
		const [h, f] = [Number(height) * perHeight, Number(load) * perLoad];
		const read = correction ? correction.height.gain * h + correction.height.offset : h;
		const force = correction ? correction.load.gain * f + correction.load.offset : f;
		const give = correction?.frame ? force / correction.frame : 0;
		return { height: mm(read - fixture + give), load: newtons(force), travel };
	});
}
