import { lengthOf, loadOf, rateBetween, rateOf, type SpringCard } from '@zinc-ledger/core';

/** A card's straight line from its height down to its bind, as heights and loads. */
export function cardLine(card: SpringCard): [number, number][] {
	const seat = { height: lengthOf(card.seat.height), load: loadOf(card.seat.load) };
	const open = card.open && { height: lengthOf(card.open.height), load: loadOf(card.open.load) };
	const rate = open ? rateBetween(seat, open) : rateOf(card.rate!);
	const bind = lengthOf(card.bind);
	const above = seat.height + (0.9 * seat.load) / rate;
	return [
		[above, seat.load * 0.1],
		[bind, seat.load + rate * (seat.height - bind)]
	];
}
