/** What seat and open load share: what they need, stand on and are held against. Source: handbook §5. */
import { loadOf, mm, type Millimetres, type Newtons } from '../units/index.ts';
import { message, type Message, type Need } from '../message/index.ts';
import { isBeyondTested } from '../spring/index.ts';
import type { Source } from '../verdict/index.ts';
import type { StationRead } from './read.ts';
import type { KindSheet } from './kind.ts';
import type { Remark } from './remark.ts';

declare module '../message/message.ts' {
	interface Messages {
		'seat-load.off': LoadOff;
		'open-load.off': LoadOff;
		'spring.not-tested-at': { readonly height: Millimetres };
		'spring.solid-before': { readonly height: Millimetres };
		'spring.free-below': { readonly height: Millimetres };
		'spring.card-line-at': { readonly height: Millimetres };
	}
}

interface LoadOff {
	readonly by: Newtons;
	readonly way: 'under' | 'over';
	readonly target: Newtons;
}

export type WhichLoad = 'seat-load' | 'open-load';

/** The load that was asked for, else what the card or the set promises at the aim (handbook §5). */
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
): Source[] {
	const { spring, card, target } = kind.sources;
	const own = kind.curve && isBeyondTested(kind.curve, at) ? [spring, card] : [spring];
	const against =
		parts.aim.method === which || kind.target.height === null ? [] : [card, ...target];
	return [...new Set([...own, ...against].filter((source) => source !== null))];
}

/** What a load needs besides what is there. */
export const lacking = ({ height, kind }: StationRead, which: WhichLoad): Need[] => [
	...(height === null ? [message('need.height')] : []),
	...(kind.curve ? [] : [message('need.spring')]),
	...(kind.lift || which === 'seat-load' ? [] : [message('need.lift')])
];

/** Why a spring's curve has no load at a height. */
export function unknownThere({ curve }: KindSheet, height: Millimetres): Message {
	if (curve?.from === 'tested') return message('spring.not-tested-at', { height });
	return message(height < (curve?.lowest ?? 0) ? 'spring.solid-before' : 'spring.free-below', {
		height
	});
}

/** Loads that are the card's, because the spring was not tested so far. */
export function beyondTested({ height, kind: { curve, lift } }: StationRead): Remark[] {
	if (height === null || !curve) return [];
	const open = lift ? [mm(height - lift.net)] : [];
	return [height, ...open].flatMap((at) =>
		isBeyondTested(curve, at) && curve.load(at) !== null
			? [
					{
						state: 'watch' as const,
						text: message('spring.card-line-at', { height: at })
					}
				]
			: []
	);
}
