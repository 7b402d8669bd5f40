import { lengthOf, mm, MM_PER, newtons, NEWTONS_PER } from '../units/quantity.ts';
import type { Sweep } from './schema.ts';
import type { SweepPoint } from './sweep.ts';

/** The points of a sweep as heights of the spring itself: corrected, and less the fixture. */
export function sweepPoints(sweep: Sweep): SweepPoint[] {
	const { correction } = sweep;
	const fixture = lengthOf(sweep.fixture);
	const [perHeight, perLoad] = [MM_PER[sweep.heightUnit], NEWTONS_PER[sweep.loadUnit]];
	return sweep.points.map(([height, load, travel]) => {
		const [h, f] = [Number(height) * perHeight, Number(load) * perLoad];
		return {
			height: mm(
				(correction ? correction.height.gain * h + correction.height.offset : h) - fixture
			),
			load: newtons(correction ? correction.load.gain * f + correction.load.offset : f),
			travel
		};
	});
}
