/** A tested spring put onto the card that a job carries, so that its curve is used instead of the card's line. */
import type { Setup, TaggedSpring } from '../../../job/document/index.ts';
import type { SpringCard } from '../../../parts/part/index.ts';
import type { Curve } from '../../spring/index.ts';
import {
	lengthText,
	mm,
	MM_PER,
	NEWTONS_PER,
	unitOf,
	type LoadUnit,
	type Millimetres
} from '../../../foundation/units/index.ts';
import { KINDS, median } from '../../../foundation/station/index.ts';
import { identify, pointsOf, type BindFound } from '../../sweep/index.ts';

export interface TestedSpring {
	readonly tag: string;
	readonly curve: Curve;
	readonly bind: BindFound;
	/** One standard deviation of its loads by the tester's own checks, as a part of the load. */
	readonly loadDeviation?: number | undefined;
	/** What it was tested on, where that is known. */
	readonly tester?: string | undefined;
}

/**
 * The spring of a set whose load at a height is nearest to the set's median, or
 * the first where none was swept at that height; null for an empty set.
 */
export function medianSpring(set: readonly TestedSpring[], seat: Millimetres): TestedSpring | null {
	const loads = set.flatMap((spring) => {
		const load = spring.curve.load(seat);
		return load === null ? [] : [{ spring, load }];
	});
	if (loads.length === 0) return set[0] ?? null;
	const medianLoad = median(loads.map(({ load }) => load));
	return loads.toSorted((a, b) => Math.abs(a.load - medianLoad) - Math.abs(b.load - medianLoad))[0]!
		.spring;
}

const DIGITS = { mm: 3, in: 4, N: 2, lbf: 3, kgf: 4 } as const;

/** A tested curve and bind as texts, in the units of the spring's card. */
function testedIn(
	card: SpringCard,
	{ curve, bind, loadDeviation }: Pick<TestedSpring, 'curve' | 'bind' | 'loadDeviation'>
) {
	const length = unitOf(card.seat.height);
	const force = card.seat.load.split(' ')[1] as LoadUnit;
	return {
		points: pointsOf(curve).map(({ height, load }) => ({
			height: `${(height / MM_PER[length]).toFixed(DIGITS[length])} ${length}`,
			load: `${(load / NEWTONS_PER[force]).toFixed(DIGITS[force])} ${force}`
		})),
		...(loadDeviation !== undefined && { loadDeviation }),
		...(bind.type === 'bind' && {
			bind: lengthText(bind.height, length),
			bindUncertainty: lengthText(
				mm(Math.max(bind.to - bind.height, bind.height - bind.from)),
				length
			)
		})
	};
}

/** A tagged spring of a set as a job carries it, for the plan to place. */
export const taggedFor = (card: SpringCard, spring: TestedSpring, set: string): TaggedSpring => ({
	tag: spring.tag,
	set,
	card: card.id,
	...testedIn(card, spring),
	...(spring.tester !== undefined && { tester: spring.tester })
});

/**
 * The card with the tested curve and bind of a spring, in the card's own units,
 * and, where the spring is not the one that the card tells of, which it may be.
 *
 * @param set name of the set the spring belongs to
 * @param library cards that the spring may be of
 */
export function applyToCard(
	card: SpringCard,
	spring: TestedSpring,
	set: string,
	library: readonly SpringCard[]
): SpringCard {
	const match = identify(spring, library).find(({ fits }) => fits !== 'mismatch');
	const own = identify(spring, [card])[0];
	return {
		...card,
		tested: {
			...testedIn(card, spring),
			set,
			...(own?.fits === 'mismatch' && {
				mismatch: match?.card.name ?? ''
			})
		}
	};
}

/**
 * A set-up with a tested set on it: its middle curve on the card of every kind
 * that has the set's spring, or, where none has, of every kind, so that it shows
 * there which spring it is not; and each spring of the set, for the plan to place
 * instead of those of its card that were there.
 *
 * @param set its name, and the card it is said to be of
 * @param tested springs of the set; `middle` is one of them
 * @param library cards that the springs may be of
 */
export function applyToSetup(
	setup: Setup,
	set: { readonly name: string; readonly card: SpringCard | null },
	tested: readonly TestedSpring[],
	medianSpring: TestedSpring,
	library: readonly SpringCard[]
): Setup {
	const own = KINDS.filter((kind) => set.card && setup.kinds[kind].spring?.id === set.card.id);
	const kinds = { ...setup.kinds };
	for (const kind of own.length > 0 ? own : KINDS) {
		const card = kinds[kind].spring;
		if (card)
			kinds[kind] = { ...kinds[kind], spring: applyToCard(card, medianSpring, set.name, library) };
	}
	const card = own[0] && setup.kinds[own[0]].spring;
	return {
		...setup,
		kinds,
		...(card && {
			springs: [
				// What was not tested again stays what it was before it ran.
				...(setup.springs ?? []).filter(
					({ card: of, earlier, tag }) =>
						of !== card.id || (earlier && !tested.some((one) => one.tag === tag))
				),
				...tested.map((spring) => taggedFor(card, spring, set.name))
			]
		})
	};
}
