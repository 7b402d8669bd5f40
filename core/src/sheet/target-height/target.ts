/**
 * What installed height to aim for. Practitioners differ; each method here is
 * one of theirs (docs/trade/sheet.md#target-height). Heights in millimetres, loads in newtons.
 */
import { mm, type Millimetres, type Newtons } from '../../foundation/units/index.ts';
import { message, needsOf, type Message, type Need } from '../../foundation/message/index.ts';
import {
	heightForLoad,
	isBeyondTested,
	type Bind,
	type Curve
} from '../../springs/spring/index.ts';
import { combinedUncertainty } from '../../foundation/verdict/index.ts';
import type { Lift } from '../../valvetrain/lift/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.spring': null;
		'need.bind': null;
		'need.lift': null;
		'target.card-height': null;
		'target.bind-cushion': {
			readonly bind: Millimetres;
			readonly lift: Millimetres;
			readonly cushion: Millimetres;
		};
		'target.seat-load': { readonly load: Newtons };
		'target.open-load': { readonly load: Newtons };
		'target.as-it-stands': null;
		'target.outside-curve': { readonly load: Message };
		'target.from-card-line': { readonly load: Message };
	}
}

export const TARGET_METHODS = [
	'card-height',
	'bind-cushion',
	'seat-load',
	'open-load',
	'as-it-stands'
] as const;
export type TargetMethod = (typeof TARGET_METHODS)[number];

export type Aim =
	| { readonly method: 'card-height' }
	| { readonly method: 'bind-cushion'; readonly cushion: Millimetres }
	| { readonly method: 'seat-load'; readonly load: Newtons }
	| { readonly method: 'open-load'; readonly load: Newtons }
	| { readonly method: 'as-it-stands'; readonly minSeatLoad: Newtons };

/** What is known about a station when its aim is worked out; null where it is not. */
export interface Known {
	readonly cardHeight: Millimetres | null;
	readonly bind: Pick<Bind, 'height' | 'uncertainty'> | null;
	readonly lift: Lift | null;
	readonly curve: Curve | null;
}

export interface Target {
	/** The height to aim for; null when there is none, for the reason in `because`. */
	readonly height: Millimetres | null;
	/** How the height came about, or what is missing. */
	readonly because: Message;
	/** True when a load was looked up on a card's straight line for want of a tested curve. */
	readonly fromCardLine: boolean;
	/** Half-width of its 95 % interval, from the bind and the lift that it is worked out from. */
	readonly uncertainty: Millimetres;
	/** Known figures that it stands on, besides what the job asks for. */
	readonly standsOn: readonly ('card-height' | 'bind' | 'lift' | 'curve')[];
}

/**
 * The height a method aims for.
 *
 * @example bind cushion 0.060 in, bind 1.180 in, lift 0.540 in: 1.780 in
 */
export function targetHeight(aim: Aim, known: Known): Target {
	const none = (because: Message): Target => ({
		height: null,
		because,
		fromCardLine: false,
		uncertainty: mm(0),
		standsOn: []
	});
	const lacking = (need: Need) => none(needsOf([need]));
	const { bind, lift, curve, cardHeight } = known;

	switch (aim.method) {
		case 'card-height':
			return cardHeight === null
				? lacking(message('need.spring'))
				: {
						height: cardHeight,
						because: message('target.card-height'),
						fromCardLine: false,
						uncertainty: mm(0),
						standsOn: ['card-height']
					};
		case 'bind-cushion':
			if (bind === null) return lacking(message('need.bind'));
			if (lift === null) return lacking(message('need.lift'));
			return {
				height: mm(bind.height + lift.gross + aim.cushion),
				because: message('target.bind-cushion', {
					bind: bind.height,
					lift: lift.gross,
					cushion: aim.cushion
				}),
				fromCardLine: false,
				uncertainty: mm(combinedUncertainty(bind.uncertainty, lift.uncertainty ?? 0)),
				standsOn: ['bind', 'lift']
			};
		case 'seat-load':
			return forLoad(aim.load, mm(0), curve, message('target.seat-load', { load: aim.load }));
		case 'open-load':
			if (lift === null) return lacking(message('need.lift'));
			return forLoad(aim.load, lift.net, curve, message('target.open-load', { load: aim.load }));
		case 'as-it-stands':
			return none(message('target.as-it-stands'));
	}

	function forLoad(load: Newtons, above: Millimetres, on: Curve | null, what: Message): Target {
		if (on === null) return lacking(message('need.spring'));
		const height = heightForLoad(on, load);
		if (height === null) return none(message('target.outside-curve', { load: what }));
		const fromCardLine = on.from === 'card' || isBeyondTested(on, height);
		return {
			height: mm(height + above),
			because: fromCardLine ? message('target.from-card-line', { load: what }) : what,
			fromCardLine,
			// The load that comes of it is judged with the tester's own error.
			uncertainty: mm(0),
			standsOn: above > 0 ? ['curve', 'lift'] : ['curve']
		};
	}
}
