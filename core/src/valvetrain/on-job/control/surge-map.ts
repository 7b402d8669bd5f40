/** Where a spring's coils are fed by its lobe: orders over engine speed (docs/trade/valvetrain.md#control). */
import { surgeSpeed } from '../../control/index.ts';
import { harmonicsOf } from '../../lobe/index.ts';
import type { Controlled } from './of-job.ts';

/** An order of the cam's turn. */
export interface FedOrder {
	readonly order: number;
	/** What the lobe feeds at it, as a part of what it feeds most among those told. */
	readonly strength: number;
	/** Engine speed in rpm at which it meets the coils. */
	readonly speed: number;
}

/** Orders that are looked at: lower ones are met beyond any speed, higher ones feed next to nothing. */
const ORDERS = { min: 4, max: 16 } as const;

/** The order that feeds most of those met up to a speed, in rpm; null for none. */
export const strongestBelow = (orders: readonly FedOrder[], speed: number): FedOrder | null =>
	orders.filter((one) => one.speed <= speed).toSorted((a, b) => b.strength - a.strength)[0] ?? null;

/** Orders that may feed a station's coils, lowest first; none where the coils are not known. */
export function fedOrders({ train, surge }: Pick<Controlled, 'train' | 'surge'>): FedOrder[] {
	if (!surge) return [];
	const fed = harmonicsOf(train.lobe, ORDERS.max)
		.map((amplitude, i) => ({ order: i + 1, amplitude }))
		.filter(({ order }) => order >= ORDERS.min);
	const max = Math.max(...fed.map(({ amplitude }) => amplitude));
	return fed.map(({ order, amplitude }) => ({
		order,
		strength: amplitude / max,
		speed: surgeSpeed(surge.frequency, order)
	}));
}
