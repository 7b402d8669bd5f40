/** Which way up a spring goes that is not the same at both ends (docs/trade/sheet.md). */
import type { SpringCard } from '../../parts/part/index.ts';

export const WAYS_UP = ['small-end-up', 'close-coils-down', 'marked-end-up'] as const;
export type WayUp = (typeof WAYS_UP)[number];

/** All that is to be looked for; empty for a spring that is the same both ways, or not known. */
export function waysUp(card: SpringCard | undefined): WayUp[] {
	if (!card) return [];
	const { build, progressive, markedTop } = card;
	const isTapered = build === 'conical' || build === 'beehive' || build === 'dual-conical';
	return [
		...(isTapered ? (['small-end-up'] as const) : []),
		...(progressive ? (['close-coils-down'] as const) : []),
		...(markedTop ? (['marked-end-up'] as const) : [])
	];
}
