/**
 * Made-up springs on a rough tester, by other means than `synthetic.ts`: a frame
 * that gives, a zero that is off, digits that are rounded, slack before the spring
 * is reached, friction, uneven steps, a pull in two goes, a lever that bounces, and
 * a figure misread now and then. What is known of each spring is its truth.
 */
import { mm, newtons } from '../../foundation/units/index.ts';
import type { SpringBuild } from '../../parts/part/index.ts';
import { normal } from './synthetic.ts';
import { withTravel, type SweepPoint } from './sweep.ts';

export const FAMILIES = ['single', 'progressive', 'dual', 'triple', 'beehive', 'cone'] as const;
export type Family = (typeof FAMILIES)[number];

export const BUILD_OF_FAMILY: Readonly<Record<Family, SpringBuild>> = {
	single: 'single',
	progressive: 'single',
	dual: 'dual',
	triple: 'triple',
	beehive: 'beehive',
	cone: 'conical'
};

/** One spring: load at a height of its own, rigid from `solid` on. */
export interface RoughSpring {
	readonly family: Family;
	readonly free: number;
	readonly solid: number;
	readonly load: (height: number) => number;
}

const over = (value: number) => Math.max(0, value);

/** A spring of a family, from coils whose rates add up and whose active turns lie down. */
export function roughSpring(family: Family, random: () => number): RoughSpring {
	const between = (min: number, max: number) => min + (max - min) * random();
	const travel = between(17, 27);
	const solid = between(21, 33);
	const free = solid + travel;
	const rate = between(22, 75);
	/** A coil whose last end turns settle in the first millimetre of its travel. */
	const coil = (k: number, from: number) => (height: number) => {
		const x = over(from - height);
		return k * (x - 0.12 * (1 - Math.exp(-2.5 * x)));
	};
	/** A coil of which turns lie down from `begin` on, until its rate is `max` times what it was. */
	const lyingDown = (k: number, begin: number, max: number) => {
		const span = begin - solid;
		const part = 1 - 1 / max;
		return (height: number) => {
			const above = over(free - Math.max(height, begin));
			const below = Math.min(span, over(begin - height));
			// The rate k ÷ (1 − part·x/span) put together over the way down.
			return k * above + (k * span * -Math.log(1 - (part * below) / span)) / part;
		};
	};
	switch (family) {
		case 'single':
			return { family, free, solid, load: coil(rate, free) };
		case 'progressive': {
			const load = lyingDown(rate, free - between(0.1, 0.5) * travel, between(1.15, 1.7));
			return { family, free, solid, load };
		}
		case 'dual':
		case 'triple': {
			const outer = coil(rate, free);
			const inner = coil(rate * between(0.2, 0.5), free - between(0.3, 6));
			const third = coil(rate * between(0.08, 0.2), free - between(1, 7));
			const isTriple = family === 'triple';
			return {
				family,
				free,
				solid,
				load: (height) => outer(height) + inner(height) + (isTriple ? third(height) : 0)
			};
		}
		case 'beehive':
			return {
				family,
				free,
				solid,
				load: lyingDown(rate, free - 0.35 * travel, between(1.2, 1.8))
			};
		case 'cone': {
			const begin = solid + between(0.2, 0.55) * travel;
			return { family, free, solid, load: lyingDown(rate, begin, between(2, 4.5)) };
		}
	}
}

export interface RoughSweep {
	readonly points: readonly SweepPoint[];
	/** Newtons a millimetre of the tester's frame, and what a block in it says they are. */
	readonly frame: number;
	readonly frameMeasured: number;
	/** Dial height at which the spring goes solid. */
	readonly dialSolid: number;
	/** Points that carry the spring above where it is solid. */
	readonly working: number;
}

/**
 * A sweep as such a tester reads it.
 *
 * @param step between readings, on the whole
 * @param past readings below the solid height on the dial; negative stops so many millimetres above it
 */
export function roughSweep(
	spring: RoughSpring,
	{ step, past }: { readonly step: number; readonly past: number },
	random: () => number
): RoughSweep {
	const between = (min: number, max: number) => min + (max - min) * random();
	const chance = (part: number) => random() < part;
	const pick = <T>(...all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
	const { free, solid } = spring;
	const top = spring.load(solid);
	const frame = (top / 20) * between(14, 45);
	const dialSolid = solid - top / frame;
	/** Load at a dial height: the frame gives by as much as the spring does not. */
	const loadAt = (dial: number): number => {
		if (dial < dialSolid) return top + frame * (dialSolid - dial);
		let [low, high] = [0, top];
		for (let i = 0; i < 50; i++) {
			const load = (low + high) / 2;
			if (spring.load(dial + load / frame) > load) low = load;
			else high = load;
		}
		return (low + high) / 2;
	};
	const friction = between(1, 1.02);
	const zero = between(-6, 10);
	const heightDigit = pick(0.01, 0.01, 0.0254);
	const loadDigit = pick(0.5, 1, 2, 4.448);
	const rounded = (value: number, to: number) => Math.round(value / to) * to;
	const read = (dial: number, part = 1) => ({
		height: mm(rounded(dial + 0.012 * normal(random), heightDigit)),
		load: newtons(
			Math.max(
				0,
				rounded(
					loadAt(dial) * friction * part * (1 + 0.004 * normal(random)) + zero + normal(random),
					loadDigit
				)
			)
		)
	});
	const isUneven = chance(0.4);
	const stepNow = () => (isUneven ? step * between(0.55, 1.45) : step);

	const heights: number[] = [];
	let dial = free + (chance(0.6) ? between(0, 4) : -between(0, 3));
	let below = 0;
	while (past > 0 ? below < past : dial >= dialSolid - past) {
		heights.push(dial);
		dial -= stepNow();
		if (dial < dialSolid) below++;
	}
	if (past > 0) heights.push(dial);
	const points = heights.map((at) => read(at));
	// A pull in two goes begins again a little above where the first was let up.
	if (chance(0.2) && heights.length > 12) {
		const cut = Math.floor(heights.length * between(0.3, 0.6));
		const part = between(0.993, 1.007);
		const again = heights.slice(cut - 2).map((at) => read(at + between(-0.1, 0.1) * step, part));
		points.splice(cut, points.length, ...again);
	}
	// One figure misread, anywhere but where three on the stack line are promised.
	if (chance(0.2) && points.length > 8) {
		const at = Math.floor(random() * (points.length - Math.max(0, past)));
		const one = points[at]!;
		points[at] = chance(0.5)
			? { ...one, load: newtons(one.load * pick(between(0.7, 0.93), between(1.07, 1.4))) }
			: { ...one, height: mm(one.height + pick(-1, 1) * between(0.4, 1.2) * step) };
	}
	if (chance(0.15)) points.push(points.at(-1)!);
	if (chance(0.25)) points.push(read(heights.at(-1)! + between(0.1, 0.4)));
	return {
		points: withTravel(points),
		frame,
		frameMeasured: frame * (1 + 0.02 * normal(random)),
		dialSolid,
		working: heights.filter((at) => at > dialSolid && at < free - 0.3).length
	};
}
