/** What a seat load was lost to: the height that grew, or the spring that sagged. Source: docs/trade/visits.md. */
import { combinedUncertainty, NORMAL } from '../../foundation/verdict/index.ts';
import type { Curve } from '../../springs/spring/index.ts';
import { median } from '../../foundation/station/index.ts';
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import type { Moved, FigureRead } from './change.ts';

/** A spring at its station, then or now. */
export interface SpringAtHeight {
	/** Installed height, in mm. */
	readonly height: FigureRead;
	readonly curve: Curve;
	/** Half-width of the 95 % interval of the tester's loads, as a part of them. */
	readonly tester: number;
}

/** In N; what was lost is above nothing. */
export interface Losses {
	readonly all: Moved;
	/** Because the height grew, by the spring as it was. */
	readonly toHeight: Moved;
	/** Because the spring sagged, at the height it stands at now. */
	readonly toSag: Moved;
}

/** How far a curve is moved to see how steep it is, in mm. */
const NUDGE = 0.05;

/** N a mm; null where the curve is not known there. */
function steepness(curve: Curve, height: Millimetres): number | null {
	const [above, below] = [curve.load(mm(height + NUDGE)), curve.load(mm(height - NUDGE))];
	return above === null || below === null ? null : (below - above) / (2 * NUDGE);
}

/**
 * `F₀(h₀) − F₁(h₁) = [F₀(h₀) − F₀(h₁)] + [F₀(h₁) − F₁(h₁)]`, each with its uncertainty.
 *
 * @returns null where one of the curves is not known at one of the heights: nothing is compared at different heights
 */
export function lossesOf(then: SpringAtHeight, now: SpringAtHeight): Losses | null {
	const [h0, h1] = [mm(then.height.value), mm(now.height.value)];
	const [before, asItWas, after] = [then.curve.load(h0), then.curve.load(h1), now.curve.load(h1)];
	if (before === null || asItWas === null || after === null) return null;
	const rate = steepness(then.curve, h1) ?? (before - asItWas) / (h1 - h0 || NUDGE);
	const slope = Math.abs(rate);
	const heights = slope * combinedUncertainty(then.height.uncertainty, now.height.uncertainty);
	const loads = combinedUncertainty(then.tester * asItWas, now.tester * after);
	// Both springs are looked at at the same height: its error moves them alike, but for how much softer one is.
	return {
		all: { by: before - after, uncertainty: combinedUncertainty(loads, heights) },
		toHeight: {
			by: before - asItWas,
			uncertainty: combinedUncertainty(heights, then.tester * Math.abs(before - asItWas))
		},
		toSag: { by: asItWas - after, uncertainty: loads }
	};
}

/** A part of all that was lost that is common to every station read on another gauge. */
export interface CommonPart {
	/** Of loads now over then at the same height. */
	readonly ratio: number;
	/** Half-width of its 95 % interval. */
	readonly uncertainty: number;
	/** Whether all of them moved alike, within what single ones are read to. */
	readonly isAlike: boolean;
}

/** Fewer stations than this have nothing in common. */
const FEWEST = 4;

/**
 * What loads of all stations have in common: a tester that reads low looks like springs that all sagged.
 *
 * @param ratios loads now over then, at the same height, one a station
 * @param single half-width of the 95 % interval of one of them
 * @returns null for too few stations
 */
export function commonPart(ratios: readonly number[], single: number): CommonPart | null {
	if (ratios.length < FEWEST) return null;
	const ratio = median(ratios);
	const off = median(ratios.map((one) => Math.abs(one - ratio)));
	// Median's own scatter is a quarter more than a mean's; 1.4826 makes a middle distance a deviation.
	const deviation = Math.max(1.4826 * off, single / NORMAL);
	return {
		ratio,
		uncertainty: (NORMAL * 1.25 * deviation) / Math.sqrt(ratios.length),
		isAlike: 1.4826 * off * NORMAL <= 1.8 * single
	};
}

/** What all springs falling alike is to be taken for. */
export type CommonCause = 'none' | 'sag' | 'tester' | 'either';

/**
 * Whether a part in common is the springs' or the tester's.
 *
 * @param sameTester whether both were read on the same one
 * @param reference what a reference spring read on both testers says: load now over then; null where nobody read one
 */
export function commonCause(
	part: CommonPart | null,
	sameTester: boolean,
	reference: FigureRead | null
): CommonCause {
	if (!part || Math.abs(part.ratio - 1) <= part.uncertainty) return 'none';
	if (sameTester) return 'sag';
	if (!reference) return part.isAlike ? 'either' : 'sag';
	const left = part.ratio / reference.value - 1;
	return Math.abs(left) <= combinedUncertainty(part.uncertainty, reference.uncertainty)
		? 'tester'
		: 'sag';
}
