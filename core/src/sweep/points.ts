import { lengthOf, mm, MM_PER, newtons, NEWTONS_PER } from '../units/index.ts';
import type { Sweep } from './schema.ts';
import type { SweepPoint } from './sweep.ts';

/** Stands as a sweep's tester where its points were typed off a dial. */
export const MANUAL_TESTER = 'manual-entry';

/** Newtons that a millimetre of the tester's frame held when a sweep was taken; null where nobody measured it. */
export const frameOf = ({ correction }: Sweep): number | null => correction?.frame ?? null;

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
