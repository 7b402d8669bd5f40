/** Lobes of known shape for trials of what is read off their tables. */
import { mm } from '../../foundation/units/index.ts';
import { camDegrees, type Lobe, type LobeMotion } from './lobe.ts';
import { madeUpLobe } from './made-up.ts';

/** A lobe whose every derivative is known. */
export type KnownLobe = Pick<Lobe, 'at' | 'opens' | 'closes'>;

const FLANKS = [
	madeUpLobe({ lift: mm(9), durations: [{ lift: mm(1.27), degrees: 250 }] }),
	...[155, 165, 172].map((degrees) =>
		madeUpLobe({
			lift: mm(9),
			durations: [
				{ lift: mm(1.27), degrees: 260 },
				{ lift: mm(5.08), degrees }
			],
			ramp: { height: mm(0.25), perDegree: mm(0.015) }
		})
	)
];

/** A lobe of one of a few flanks, stretched, one side longer than the other, with waves that no family of ours has. */
export function someLobe(draw: () => number): KnownLobe {
	const flank = FLANKS[Math.floor(FLANKS.length * draw())]!;
	const [higher, longer, aslant] = [
		0.75 + 0.5 * draw(),
		0.9 + 0.2 * draw(),
		0.08 * (2 * draw() - 1)
	];
	const waves = [
		{ high: 0.02 * draw(), long: camDegrees(35 + 30 * draw()), begins: 6 * draw() },
		{ high: 0.004 * draw(), long: camDegrees(18 + 10 * draw()), begins: 6 * draw() }
	];
	const on = (angle: number) => (angle * (1 + aslant * angle)) / longer;
	const reach = 0.7 * flank.closes * longer;
	const wave = (angle: number) =>
		Math.abs(angle) >= reach
			? 0
			: (1 - (angle / reach) ** 2) ** 5 *
				waves.reduce(
					(sum, { high, long, begins }) =>
						sum + high * Math.cos((2 * Math.PI * angle) / long + begins),
					0
				);
	const lift = (angle: number) => higher * flank.at(on(angle)).lift + wave(angle);
	const near = 1e-3;
	return {
		opens: -flank.closes * longer * 1.15,
		closes: flank.closes * longer * 1.15,
		at: (angle): LobeMotion => ({
			...flank.at(0),
			lift: lift(angle),
			acceleration: (lift(angle + near) - 2 * lift(angle) + lift(angle - near)) / near ** 2
		})
	};
}

/** The angle at which a usual spring is the first to lose its valve, and √(F/|z″|) there. */
export function limitOf({ at }: KnownLobe): { angle: number; limit: number } {
	let min = { angle: 0, limit: Number.POSITIVE_INFINITY };
	for (let angle = -1; angle <= 1; angle += 0.01) {
		const { lift, acceleration } = at(angle);
		if (lift < 0.2 || acceleration >= 0) continue;
		const limit = Math.sqrt((550 + 90 * lift) / -acceleration);
		if (limit < min.limit) min = { angle, limit };
	}
	return min;
}
