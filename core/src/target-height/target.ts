/**
 * What installed height to aim for. Practitioners differ; each school here is
 * one of theirs (handbook §4). Heights in millimetres, loads in newtons.
 */
import { mm, type Millimetres, type Newtons } from '../units/quantity.ts';
import { ofLength, ofLoad, say, type Phrase } from '../units/phrase.ts';
import { heightForLoad, isBeyondTested, type Curve } from '../spring/curve.ts';
import type { Lift } from '../lift/lift.ts';

export const SCHOOLS = [
	'card height',
	'bind cushion',
	'seat load',
	'open load',
	'as it stands'
] as const;
export type School = (typeof SCHOOLS)[number];

export type Aim =
	| { readonly school: 'card height' }
	| { readonly school: 'bind cushion'; readonly cushion: Millimetres }
	| { readonly school: 'seat load'; readonly load: Newtons }
	| { readonly school: 'open load'; readonly load: Newtons }
	| { readonly school: 'as it stands'; readonly leastSeatLoad: Newtons };

/** What is known about a station when its aim is worked out; null where it is not. */
export interface Known {
	readonly cardHeight: Millimetres | null;
	readonly bind: Millimetres | null;
	readonly lift: Lift | null;
	readonly curve: Curve | null;
}

export interface Target {
	/** The height to aim for; null when there is none, for the reason in `because`. */
	readonly height: Millimetres | null;
	/** How the height came about, or what is missing. */
	readonly because: Phrase;
	/** True when a load was looked up on a card's straight line for want of a tested curve. */
	readonly fromCardLine: boolean;
	/** Known figures that it stands on, besides what the job asks for. */
	readonly standsOn: readonly ('card height' | 'bind' | 'lift' | 'curve')[];
}

/**
 * The height a school aims for.
 *
 * @example bind cushion 0.060 in, bind 1.180 in, lift 0.540 in: 1.780 in
 */
export function targetHeight(aim: Aim, known: Known): Target {
	const none = (because: Phrase): Target => ({
		height: null,
		because,
		fromCardLine: false,
		standsOn: []
	});
	const { bind, lift, curve, cardHeight } = known;

	switch (aim.school) {
		case 'card height':
			return cardHeight === null
				? none(['no spring card: its height is the aim'])
				: {
						height: cardHeight,
						because: ['card height'],
						fromCardLine: false,
						standsOn: ['card height']
					};
		case 'bind cushion':
			if (bind === null) return none(['the bind height is not known']);
			if (lift === null) return none(['the valve lift is not known']);
			return {
				height: mm(bind + lift.gross + aim.cushion),
				because: say`bind ${ofLength(bind)} + lift ${ofLength(lift.gross)} + cushion ${ofLength(aim.cushion)}`,
				fromCardLine: false,
				standsOn: ['bind', 'lift']
			};
		case 'seat load':
			return forLoad(aim.load, mm(0), curve, say`seat load of ${ofLoad(aim.load)}`);
		case 'open load':
			if (lift === null) return none(['the valve lift is not known']);
			return forLoad(aim.load, lift.net, curve, say`open load of ${ofLoad(aim.load)}`);
		case 'as it stands':
			return none(['no aim: each height is judged by its loads']);
	}

	function forLoad(load: Newtons, above: Millimetres, on: Curve | null, what: Phrase): Target {
		if (on === null) return none(['no spring curve to look the load up on']);
		const height = heightForLoad(on, load);
		if (height === null) return none(say`${what} is not within what the spring is known for`);
		const fromCardLine = on.from === 'card' || isBeyondTested(on, height);
		return {
			height: mm(height + above),
			because: fromCardLine ? say`${what}, from the card’s line: not tested` : what,
			fromCardLine,
			standsOn: above > 0 ? ['curve', 'lift'] : ['curve']
		};
	}
}
