/** What seat and open load share: what they need, stand on and are held against. Source: docs/trade/springs.md. */
import { loadOf, mm, type Millimetres, type Newtons } from '../../foundation/units/index.ts';
import { message, needsOf, type Message, type Need } from '../../foundation/message/index.ts';
import { isBeyondTested, isPoint, type Curve } from '../../springs/spring/index.ts';
import type { From } from '../../foundation/verdict/index.ts';
import type { StationRead } from './read.ts';
import type { KindSheet } from './kind.ts';
import type { Remark } from './remark.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'seat-load.off': LoadOff;
		'open-load.off': LoadOff;
		'spring.not-tested-at': { readonly height: Millimetres };
		/** A height beyond an end of the test, and that end. */
		'spring.test-further': {
			readonly height: Millimetres;
			readonly end: Millimetres;
			readonly way: 'up' | 'down';
		};
		'spring.solid-before': { readonly height: Millimetres };
		'spring.free-below': { readonly height: Millimetres };
		'need.rate': null;
		/** Lower than its card goes, which does not say where it is solid. */
		'spring.beyond-card': { readonly height: Millimetres };
		'spring.card-line-at': { readonly height: Millimetres };
	}
}

interface LoadOff {
	readonly by: Newtons;
	readonly way: 'under' | 'over';
	readonly target: Newtons;
}

export type WhichLoad = 'seat-load' | 'open-load';

/** The load that was asked for, else what the card or the set promises at the aim (docs/trade/springs.md). */
export function wantedLoad(
	{ kind, parts }: StationRead,
	which: WhichLoad,
	at: Millimetres | null
): Newtons | null {
	if (parts.aim.method === which) return loadOf(parts.aim.load);
	return at === null ? null : (kind.promised?.load(at) ?? null);
}

/** All that a load and what it is held against stand on. */
export function loadSources(
	{ kind, parts }: StationRead,
	which: WhichLoad,
	at: Millimetres
): From[] {
	const { spring, card, target } = kind.sources;
	const own = kind.curve && isBeyondTested(kind.curve, at) ? [spring, card] : [spring];
	const isAgainst = parts.aim.method !== which && kind.target.height !== null;
	const from = [
		...[...own, ...(isAgainst ? [card] : [])].flatMap((source): From[] =>
			source === null ? [] : [{ of: 'spring', source }]
		),
		...(isAgainst ? target : []).map((source): From => ({ of: 'target', source }))
	];
	// Each source once, by what it is named for first.
	return from.filter((one, i) => from.findIndex(({ source }) => source === one.source) === i);
}

/** What a load needs besides what is there. */
export const lacking = ({ height, kind }: StationRead, which: WhichLoad): Need[] => [
	...(height === null ? [message('need.height')] : []),
	...(kind.curve ? [] : [message('need.spring')]),
	...(kind.lift || which === 'seat-load' ? [] : [message('need.lift')])
];

/** Why a spring's curve has no load at a height. */
export function unknownThere({ curve, bind }: KindSheet, height: Millimetres): Message {
	// Its card gives one load, and no rate to go on from it.
	if (curve && isPoint(curve)) return needsOf([message('need.rate')]);
	if (curve?.from === 'tested') return message('spring.not-tested-at', { height });
	if (height > (curve?.highest ?? 0)) return message('spring.free-below', { height });
	return message(bind ? 'spring.solid-before' : 'spring.beyond-card', { height });
}

/** Loads that are the card's, or nobody's, because the spring was not tested so far: what to do about it. */
export function beyondTested({ height, kind: { curve, lift } }: StationRead): Remark[] {
	if (height === null || curve?.from !== 'tested') return [];
	const open = lift ? [mm(height - lift.net)] : [];
	return [height, ...open].flatMap((at): Remark[] => {
		const text = beyondTestedAt(curve, at);
		return text ? [{ state: 'watch', text }] : [];
	});
}

function beyondTestedAt(curve: Curve, height: Millimetres): Message | null {
	if (curve.load(height) !== null)
		return isBeyondTested(curve, height) ? message('spring.card-line-at', { height }) : null;
	const { lowest, highest } = curve.tested ?? curve;
	if (height > highest) return message('spring.test-further', { height, end: highest, way: 'up' });
	if (height < lowest) return message('spring.test-further', { height, end: lowest, way: 'down' });
	return null;
}
