/**
 * Made-up sweeps whose truth is known, to measure the curve maths by and to
 * drive the simulated tester with.
 */
import { mm, newtons } from '../../foundation/units/index.ts';
import type { Point } from '../spring/index.ts';
import type { SpringBuild } from '../../parts/part/index.ts';
import type { TesterNoise } from './sweep.ts';

export const MODEL_TYPES = ['linear', 'progressive', 'dual', 'cone'] as const;
export type ModelType = (typeof MODEL_TYPES)[number];

/** The build that a made-up spring of a type passes for. */
export const BUILD_OF: Record<ModelType, SpringBuild> = {
	linear: 'single',
	progressive: 'single',
	dual: 'dual',
	cone: 'conical'
};

/** A made-up spring: its load at any height, and where it truly goes solid. */
export interface SpringModel {
	readonly type: ModelType;
	readonly free: number;
	/** The height at which the first coil, or the whole cone, goes solid. */
	readonly solid: number;
	/** The height below which its rate is another, or begins to grow, where it has one. */
	readonly bend?: number;
	readonly load: (height: number) => number;
}

/** Uniform numbers in [0, 1) from a seed: Mulberry32. */
export function randomFrom(seed: number): () => number {
	let state = seed >>> 0;
	return () => {
		state = (state + 0x6d2b79f5) >>> 0;
		let t = state;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}

/** A normally spread number by Box and Muller. */
export const normal = (random: () => number) =>
	Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** How much steeper the stack line of a solid spring and its press is than the spring. */
const STACK = 30;

/** A spring of a type with figures drawn at random within what valve springs have. */
export function randomSpring(type: ModelType, random: () => number): SpringModel {
	const between = (min: number, max: number) => min + (max - min) * random();
	const free = between(44, 58);
	const rate = between(28, 70);
	const solid = free - between(20, 27);
	const over = (height: number) => Math.max(0, height);
	switch (type) {
		case 'linear': {
			const stack = between(0.7, 1.3) * STACK * rate;
			return {
				type,
				free,
				solid,
				load: (h) => rate * over(free - h) + stack * over(solid - h)
			};
		}
		case 'progressive': {
			const bow = between(0.12, 0.3);
			const travel = free - solid;
			const stack = between(0.7, 1.3) * STACK * rate;
			return {
				type,
				free,
				solid,
				load: (h) => {
					const x = over(free - h) / travel;
					return (
						rate * travel * (x + bow * (x ** 2 - 0.6 * x + 0.35 * x ** 3)) + stack * over(solid - h)
					);
				}
			};
		}
		case 'dual': {
			const inner = rate * between(0.25, 0.45);
			const innerFree = free - between(2, 5);
			const outerSolid = solid - between(0.8, 2.5);
			return {
				type,
				free,
				solid,
				bend: innerFree,
				load: (h) =>
					rate * over(free - h) +
					inner * over(innerFree - h) +
					STACK * inner * over(solid - h) +
					STACK * rate * over(outerSolid - h)
			};
		}
		case 'cone': {
			// Coils go solid one after the other, the widest first: the rate grows as fewer are left.
			const begin = solid + between(5, 9);
			const grows = between(1.5, 3);
			return {
				type,
				free,
				solid,
				bend: begin,
				load: (h) => {
					const bent = over(begin - h) - over(solid - h);
					const span = begin - solid;
					return (
						rate * over(free - h) +
						(rate * grows * bent ** 2) / (2 * span) +
						STACK * rate * over(solid - h)
					);
				}
			};
		}
	}
}

export interface Sampling {
	readonly step: number;
	readonly noise: TesterNoise;
	/** Points below the solid height; negative stops so many steps above it. */
	readonly past: number;
}

/** A sweep down of a made-up spring, as a tester with this noise reads it. */
export function sampled(spring: SpringModel, how: Sampling, random: () => number): Point[] {
	const { step, noise, past } = how;
	const lowest = spring.solid - (past - random()) * step;
	const points: Point[] = [];
	for (let h = spring.free - 2 - random() * step; h > lowest; h -= step) {
		points.push({
			height: mm(h + noise.height * normal(random)),
			load: newtons(Math.max(0, spring.load(h) * (1 + noise.load * normal(random))))
		});
	}
	return points.toSorted((a, b) => b.height - a.height);
}
