/** Made-up planning problems, to hold the solver against other ways of finding the best plan. */
import { randomFrom } from '../../../springs/sweep/index.ts';
import type { Choice, Problem } from '../problem.ts';

export interface MadeUp {
	readonly stations: number;
	/** Springs that may be placed; 0 leaves every station its own. */
	readonly springs: number;
	/** How many of each shim and lock there are, as a part of what the stations would take of it. */
	readonly plenty: number;
	readonly shims?: number;
	readonly seed: number;
}

const SHIMS = [0.381, 0.762, 1.524];
const LOCKS = [-1.27, 0, 0.635, 1.27];
const QUANTUM = 0.005;
/** Further from its aim than this a station is not built. */
const FURTHEST = 0.5;

/** Stations of uneven height, springs of uneven strength, three sizes of shims and four locks. */
export function madeUpProblem({ stations, springs, plenty, shims = 3, seed }: MadeUp): Problem {
	const random = randomFrom(seed);
	const between = (min: number, max: number) => min + (max - min) * random();
	const stock = [...SHIMS, ...LOCKS].map((_, part) =>
		Math.round((part < SHIMS.length ? 1.1 * stations : 0.7 * stations) * plenty * between(0.5, 1.2))
	);
	// Standard locks are never what runs out.
	stock[SHIMS.length + 1] = Math.max(stock[SHIMS.length + 1]!, stations);
	const bare = Array.from({ length: stations }, () => between(0.4, 3.2));
	const aim = Array.from({ length: Math.max(1, springs) }, () => between(-0.5, 0.5));
	const choices: Choice[] = [];
	const stacks = stacksOf(shims);
	bare.forEach((height, station) => {
		aim.forEach((wanted, spring) => {
			LOCKS.forEach((offset, lock) => {
				for (const stack of stacks) {
					const thickness = stack.reduce((sum, size) => sum + SHIMS[size]!, 0);
					const off = Math.abs(height - thickness + offset - (springs > 0 ? wanted : 0));
					if (off > FURTHEST) continue;
					choices.push({
						station,
						spring: springs > 0 ? spring : null,
						distance: Math.round(off / QUANTUM),
						parts: stack.length + (offset === 0 ? 0 : 1),
						takes: [
							...SHIMS.flatMap((_, size): (readonly [number, number])[] => {
								const count = stack.filter((one) => one === size).length;
								return count > 0 ? [[size, count]] : [];
							}),
							[SHIMS.length + lock, 1]
						]
					});
				}
			});
		});
	});
	return { stations, springs, stock, choices };
}

function stacksOf(max: number): number[][] {
	const all: number[][] = [];
	const extend = (stack: number[], from: number) => {
		all.push(stack);
		if (stack.length === max) return;
		for (let size = from; size < SHIMS.length; size++) extend([...stack, size], size);
	};
	extend([], 0);
	return all;
}
