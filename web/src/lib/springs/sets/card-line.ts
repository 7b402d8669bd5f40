import { cardLine, type SpringCard } from '@zinc-ledger/core';

/** The ends of a card's straight line, as heights and loads. */
export function cardEnds(card: SpringCard): [number, number][] {
	const { highest, lowest, load } = cardLine(card);
	return [highest, lowest].map((height) => [height, load(height) ?? 0]);
}
