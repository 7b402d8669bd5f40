/** What a spring's card says, as rate, line and curve. */
import {
	lengthOf,
	lengthText,
	loadOf,
	mm,
	rateOf,
	type Millimetres,
	type NewtonsPerMillimetre
} from '../../foundation/units/index.ts';
import type { SpringCard } from '../../parts/part/index.ts';
import {
	beyondTested,
	cardCurve,
	pointCurve,
	rateBetween,
	testedCurve,
	type Curve,
	type Point
} from './curve.ts';

const pointOf = (at: { height: string; load: string }): Point => ({
	height: lengthOf(at.height),
	load: loadOf(at.load)
});

/**
 * Rate of a card: through its two loads where it gives two, else as stated.
 *
 * @returns N/mm; null for a card that gives one load and no rate
 * @throws RangeError where two loads at one height give none
 */
export function cardRate({ seat, open, rate }: SpringCard): NewtonsPerMillimetre | null {
	if (open) return rateBetween(pointOf(seat), pointOf(open));
	return rate === undefined ? null : rateOf(rate);
}

/**
 * How far down a card's line is known: to its bind; without one to its second height, or what
 * its greatest lift leads to. A bare rate says nothing of where it ends.
 */
function lowestOf({ bind, open, seat, maxLift }: SpringCard): Millimetres {
	if (bind !== undefined) return lengthOf(bind);
	if (open) return lengthOf(open.height);
	return maxLift === undefined ? mm(0) : mm(lengthOf(seat.height) - lengthOf(maxLift));
}

/**
 * A card's straight line, whatever was tested. One that gives a single load and no rate is
 * known at that height alone.
 *
 * @returns loads in N over heights in mm, from the free height down as far as the card goes
 */
export function cardLine(card: SpringCard): Curve {
	const seat = pointOf(card.seat);
	const rate = cardRate(card);
	return rate === null ? pointCurve(seat) : cardCurve(seat, rate, lowestOf(card));
}

/**
 * A spring's curve: through its tested points where there are any, else its card's line.
 *
 * @param goesOn whether the card's line is taken beyond what was tested
 */
export function curveOf(card: SpringCard, goesOn = false): Curve {
	if (!card.tested) return cardLine(card);
	const { points, loadDeviation: deviation } = card.tested;
	const through = curveThrough(points);
	const tested = deviation === undefined ? through : { ...through, deviation };
	return goesOn ? beyondTested(tested, cardLine(card)) : tested;
}

type Points = NonNullable<SpringCard['tested']>['points'];
const known = new WeakMap<Points, Curve>();

/** The curve through these very points, made once for as long as they live. */
function curveThrough(points: Points): Curve {
	const before = known.get(points);
	if (before) return before;
	const curve = testedCurve(points.map(pointOf));
	known.set(points, curve);
	return curve;
}

/** A lift to test a spring at where its card says nothing of any: 0.500 in, or 10 mm. */
const USUAL_LIFT = { in: '0.500 in', mm: '10.00 mm' } as const;

/**
 * The lift that a card's second height is for, else the greatest that it allows, as a length
 * text in the unit of its seat height.
 *
 * @example cardLift(card of 1.820 in seat, 1.280 in open) // "0.540 in"
 */
export function cardLift({ seat, open, maxLift }: SpringCard): string {
	const unit = seat.height.endsWith('in') ? 'in' : 'mm';
	if (open) return lengthText(mm(lengthOf(seat.height) - lengthOf(open.height)), unit);
	return maxLift ?? USUAL_LIFT[unit];
}
