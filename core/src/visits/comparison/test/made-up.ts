/** Made-up histories of valves whose truth is known, read by gauges as they are: for the tests beside. */
import { normal as normalFrom, randomFrom } from '../../../springs/sweep/synthetic.ts';
import type { Moved } from '../change.ts';
import { SIGNATURES, TRACES, type Happening, type Trace } from '../signatures.ts';

/** Half-widths of the 95 % interval of one reading: mm, a load as a part of it. */
export const GAUGES = {
	height: 0.02,
	'seal-gap': 0.05,
	'tip-height': 0.03,
	lash: 0.015,
	'head-below-deck': 0.03,
	'tip-length': 0.02,
	load: 0.015,
	lift: 0.03
} as const satisfies Record<Trace, number>;
/** In N, at the height that both readings are made at. */
export const LOAD = 560;

/** Random figures that are the same every time: 0 to 1, and normal ones. */
export function dice(seed: number) {
	const next = randomFrom(seed);
	const normal = () => normalFrom(next);
	return { next, normal, pick: <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)]! };
}
export type Dice = ReturnType<typeof dice>;

/** What is read of a station to which these things happened. */
export function read(
	truth: Readonly<Partial<Record<Happening, number>>>,
	traces: readonly Trace[],
	{ normal }: Dice
): Partial<Record<Trace, Moved>> {
	const moved: Partial<Record<Trace, Moved>> = {};
	for (const trace of TRACES) {
		if (!traces.includes(trace)) continue;
		const single = trace === 'load' ? GAUGES.load * LOAD : GAUGES[trace];
		const uncertainty = single * Math.SQRT2;
		const by = (Object.keys(truth) as Happening[]).reduce(
			(sum, happening) => sum + truth[happening]! * (SIGNATURES[happening][trace] ?? 0),
			0
		);
		moved[trace] = { by: by + (normal() * uncertainty) / 1.96, uncertainty };
	}
	return moved;
}

/** How much of it happened: a length from 0.15 to 0.5 mm, a sag from 6 to 15 % of the load. */
export const amountOf = (happening: Happening, { next }: Dice): number =>
	happening === 'spring-sagged' ? LOAD * (0.06 + 0.09 * next()) : 0.15 + 0.35 * next();
