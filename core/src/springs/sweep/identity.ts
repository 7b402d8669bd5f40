/**
 * Which card of the library a spring in the hand fits: its loads, rate, bind,
 * free height and diameters against every card (docs/trade/springs.md). Paint stripes
 * tell little, and are not asked.
 */
import { lengthOf, loadOf, mm, type Millimetres } from '../../foundation/units/index.ts';
import { cardRate, type Curve } from '../spring/index.ts';
import type { SpringCard } from '../../parts/part/index.ts';
import type { BindFound } from './bind.ts';

export interface InHand {
	readonly curve: Curve;
	readonly bind: BindFound;
	readonly freeHeight?: Millimetres | undefined;
	readonly outside?: Millimetres | undefined;
	readonly wire?: Millimetres | undefined;
}

export interface Evidence {
	readonly what: 'load-at-card-height' | 'rate' | 'coil-bind' | 'free-height' | 'outside' | 'wire';
	/** Card and spring in the hand, in SI units. */
	readonly card: number;
	readonly hand: number;
	/** How far apart, in what such springs of one batch may differ by. */
	readonly off: number;
}

export interface Match {
	readonly card: SpringCard;
	readonly evidence: readonly Evidence[];
	/** Mean square of the evidence; 1 is as far as springs of one card go. */
	readonly distance: number;
	readonly fits: 'fits' | 'near' | 'mismatch';
}

/** What springs of one card may differ by: parts of a load or rate, millimetres of a length. */
const CARD_SCATTER = {
	load: 0.06,
	rate: 0.06,
	bind: 0.8,
	free: 1,
	diameter: 0.35,
	wire: 0.1
} as const;
const MATCH_DISTANCE = 1.6;
/** Evidence further off than this rules a card out whatever the rest says. */
const RULED_OUT_DISTANCE = 3;

/** A spring that is all but slack where its sweep begins has no load above that. */
const SLACK_LOAD_PART = 0.3;

function loadAt(curve: Curve, card: { height: Millimetres; load: number }): number | null {
	const isSlack =
		card.height > curve.highest && curve.load(curve.highest)! < SLACK_LOAD_PART * card.load;
	return isSlack ? 0 : curve.load(card.height);
}

/**
 * Every card with the evidence, nearest first, those before the others whose loads or rate were
 * held against the spring. Source: docs/trade/springs.md.
 *
 * @returns cards that anything speaks for or against; the others are left out
 */
export function identify(hand: InHand, cards: readonly SpringCard[]): Match[] {
	return cards
		.map((card) => matchOf(hand, card))
		.filter((match) => match.evidence.length > 0)
		.toSorted(
			(a, b) =>
				Number(hasLoads(b.evidence)) - Number(hasLoads(a.evidence)) || a.distance - b.distance
		);
}

const hasLoads = (evidence: readonly Evidence[]): boolean =>
	evidence.some(({ what }) => what === 'load-at-card-height' || what === 'rate');

/**
 * One card against the spring in the hand.
 *
 * @returns distance 0 for a card that agrees in all that was measured
 */
export function matchOf(hand: InHand, card: SpringCard): Match {
	const evidence: Evidence[] = [];
	const parts = (what: Evidence['what'], of: number, found: number | null, may: number) => {
		if (found !== null) evidence.push({ what, card: of, hand: found, off: (found / of - 1) / may });
	};
	const lengths = (
		what: Evidence['what'],
		of: string | undefined,
		found: number | undefined,
		may: number
	) => {
		if (of === undefined || found === undefined) return;
		evidence.push({ what, card: lengthOf(of), hand: found, off: (found - lengthOf(of)) / may });
	};
	const seat = { height: lengthOf(card.seat.height), load: loadOf(card.seat.load) };
	parts('load-at-card-height', seat.load, loadAt(hand.curve, seat), CARD_SCATTER.load);
	const rate = cardRate(card);
	const to = card.open ? lengthOf(card.open.height) : mm(seat.height - 8);
	const [high, low] = [hand.curve.load(to), hand.curve.load(seat.height)];
	if (rate !== null)
		parts(
			'rate',
			rate,
			high === null || low === null ? null : (high - low) / (seat.height - to),
			CARD_SCATTER.rate
		);
	if (hand.bind.type === 'bind')
		lengths('coil-bind', card.bind, hand.bind.height, CARD_SCATTER.bind);
	lengths('free-height', card.freeHeight, hand.freeHeight, CARD_SCATTER.free);
	lengths('outside', card.outer?.outside, hand.outside, CARD_SCATTER.diameter);
	lengths('wire', card.outer?.wire, hand.wire, CARD_SCATTER.wire);

	const distance = Math.sqrt(
		evidence.reduce((sum, { off }) => sum + off ** 2, 0) / Math.max(1, evidence.length)
	);
	const worst = Math.max(0, ...evidence.map(({ off }) => Math.abs(off)));
	// A card that nothing of its loads was held against may be it, and no more is known.
	const isFit = distance <= 1 && hasLoads(evidence);
	const fits =
		worst > RULED_OUT_DISTANCE || distance > MATCH_DISTANCE ? 'mismatch' : isFit ? 'fits' : 'near';
	return { card, evidence, distance, fits };
}
