/** Two springs to compare, as the address has them: a card, a set's median, or a spring of a set. */
import {
	curveOf,
	lengthOf,
	medianSpring,
	type Curve,
	type Millimetres,
	type SpringBuild,
	type SpringCard
} from '@zinc-ledger/core';
import { testedOf, type TaggedSpring } from './worked';

/** What may stand on a side, by which it is found again. */
export type SideCode = `card.${string}` | `set.${string}`;

/** A side as the server found it. */
export type Found =
	| { readonly type: 'card'; readonly card: SpringCard }
	| {
			readonly type: 'set';
			readonly set: {
				readonly name: string;
				readonly seat: string;
				readonly build: SpringBuild | undefined;
			};
			readonly springs: readonly TaggedSpring[];
			/** The spring that is meant; null for the median of the set. */
			readonly tag: string | null;
	  };

/** A side with its curve. */
export interface Side {
	readonly name: string;
	readonly curve: Curve;
	readonly bind: Millimetres | null;
	/** Where it is worked unless somebody says otherwise. */
	readonly height: Millimetres;
}

/** A side's curve; null where no spring of the set was tested. */
export function sideOf(found: Found): Side | null {
	if (found.type === 'card') {
		const { card } = found;
		const solid = card.tested?.bind ?? card.bind;
		const bind = solid === undefined ? null : lengthOf(solid);
		return { name: card.name, curve: curveOf(card), bind, height: lengthOf(card.seat.height) };
	}
	const { set, springs } = found;
	const height = lengthOf(set.seat);
	const tested = testedOf(springs, set.build);
	const spring =
		found.tag === null
			? medianSpring(tested, height)
			: (tested.find(({ tag }) => tag === found.tag) ?? null);
	if (!spring) return null;
	return {
		name: `${set.name} ${spring.tag}`,
		curve: spring.curve,
		bind: spring.bind.type === 'bind' ? spring.bind.height : null,
		height
	};
}

/** Where a spring of a set stands beside another of it, else beside its card, or beside nothing yet. */
export function compareAddress(
	set: {
		readonly id: string;
		readonly card: { readonly id?: string | undefined } | null;
		readonly seat: string;
		readonly lift: string;
	},
	tag: string,
	other = ''
): string {
	const query = new URLSearchParams({ height: set.seat, lift: set.lift });
	if (other) query.set('a', `set.${set.id}.${other}`);
	else if (set.card?.id) query.set('a', `card.${set.card.id}`);
	query.set('b', `set.${set.id}.${tag}`);
	return `/springs/compare?${query}`;
}
