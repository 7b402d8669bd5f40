/** A figure on a scale beside its limits, as plain values. */

/** A limit as a scale sees it: least or most, in the unit of the figure. */
export interface ScaleLimit {
	readonly side: 'floor' | 'ceiling';
	readonly at: number;
}

export interface Scale {
	/** Ends of the good band, in per cent of the scale's length. */
	readonly from: number;
	readonly to: number;
	/** Place of the figure, in per cent; one beyond the scale sits at its end. */
	readonly at: number;
}

/** The tightest floor and ceiling of several limits; null on a side that has none. */
export function tightest(limits: readonly ScaleLimit[]): {
	readonly floor: number | null;
	readonly ceiling: number | null;
} {
	const at = (side: ScaleLimit['side']) =>
		limits.filter((limit) => limit.side === side).map((limit) => limit.at);
	const [floors, ceilings] = [at('floor'), at('ceiling')];
	return {
		floor: floors.length > 0 ? Math.max(...floors) : null,
		ceiling: ceilings.length > 0 ? Math.min(...ceilings) : null
	};
}

/**
 * Where a figure and the band between its tightest limits lie on a scale of 0 to 100.
 * The band has a third of the scale; with one limit only, it reaches to the other end.
 *
 * @param figure in the unit of the limits
 * @returns null without limits: there is nothing to lie beside
 * @example scaleOf(5, [{ side: 'floor', at: 4 }, { side: 'ceiling', at: 6 }])!.at // 50
 */
export function scaleOf(figure: number, limits: readonly ScaleLimit[]): Scale | null {
	if (limits.length === 0) return null;
	const { floor, ceiling } = tightest(limits);

	const low = floor ?? ceiling! - Math.abs(ceiling!);
	const high = ceiling ?? floor! + 2 * Math.abs(floor!);
	const span = high - low || 1;
	const [start, end] = [low - span, high + span];
	const place = (value: number) => clamp(((value - start) / (end - start)) * 100);
	return {
		from: floor === null ? 0 : place(floor),
		to: ceiling === null ? 100 : place(ceiling),
		at: clamp(place(figure), 1.5, 98.5)
	};
}

const clamp = (value: number, low = 0, high = 100) => Math.min(high, Math.max(low, value));
