/** Springs to put under the simulated testers: a set of twelve, and some of other types. */
import { normal, randomFrom, type SpringModel } from '@zinc-ledger/core/synthetic';

/** Millimetres in an inch and newtons in a pound-force. */
const [IN, LBF] = [25.4, 4.4482216152605];
const over = (height: number) => Math.max(0, height);
const STACK = 30;

export interface NamedSpring extends SpringModel {
	readonly name: string;
}

/** A dual spring as its card says, weaker or stronger by a factor, under a retainer with this step. */
function dual(name: string, factor: number, step: number): NamedSpring {
	const free = 2.197 * IN;
	const rate = ((316 - 130) / 0.54) * (LBF / IN) * factor;
	const [outer, inner] = [rate * 0.72, rate * 0.28];
	const [outerSolid, innerSolid] = [1.15 * IN, (1.04 + step) * IN];
	return {
		type: 'dual',
		name,
		free,
		solid: Math.max(outerSolid, innerSolid),
		load: (h) =>
			rate * over(free - h) +
			STACK * outer * over(outerSolid - h) +
			STACK * inner * over(innerSolid - h)
	};
}

const random = randomFrom(2417);
/** Twelve of one card, as they come: a few per cent apart, and one that is weak. */
const SET = Array.from({ length: 12 }, (_, i) =>
	dual(`D-37 no. ${i + 1}`, i === 8 ? 0.87 : 1 + 0.012 * normal(random), 0.105)
);

const single: NamedSpring = {
	type: 'linear',
	name: 'S-16 single',
	free: 40.75,
	solid: 22.2,
	load: (h) => 35.5 * over(40.75 - h) + STACK * 35.5 * over(22.2 - h)
};
const progressive: NamedSpring = {
	type: 'progressive',
	name: 'S-21 progressive',
	free: 43.1,
	solid: 23.8,
	load: (h) => {
		const x = over(43.1 - h);
		return 33 * x + 0.25 * x ** 2 + STACK * 40 * over(23.8 - h);
	}
};
const cone: NamedSpring = {
	type: 'cone',
	name: 'C-31 cone',
	free: 2.108 * IN,
	solid: 1.03 * IN,
	load: (h) => {
		const [free, solid] = [2.108 * IN, 1.03 * IN];
		const rate = 330 * (LBF / IN);
		const bent = over(solid + 6 - h) - over(solid - h);
		return rate * over(free - h) + (rate * 2 * bent ** 2) / 12 + STACK * rate * over(solid - h);
	}
};

export const SPRINGS: readonly NamedSpring[] = [
	...SET,
	dual('D-37 under a deep step, inner first', 1, 0.16),
	single,
	progressive,
	cone
];
