/**
 * Where an engine's valve stations are: which head, which cylinder, which
 * valve, and where each lies when the heads are on the bench.
 */

export const KINDS = ['intake', 'exhaust'] as const;
export type Kind = (typeof KINDS)[number];
import { issue } from '../message/index.ts';

declare module '../message/issue.ts' {
	interface FieldMessages {
		'layout.odd-cylinders': null;
		'layout.own-numbers': { readonly perHead: number; readonly heads: number };
		'layout.each-once': { readonly cylinders: number };
		'layout.angles-count': null;
		'layout.first-angle': null;
		'layout.angles-grow': null;
	}
}

export const ARRANGEMENTS = ['inline', 'V', 'flat'] as const;
export const NUMBERINGS = ['bank-by-bank', 'alternating', 'custom'] as const;
export const PAIRINGS = ['mirrored', 'alternating'] as const;
export const FIRST_VALVES = ['intake', 'exhaust'] as const;
export const CASTINGS = ['separate', 'reversed'] as const;

export interface Layout {
	readonly arrangement: (typeof ARRANGEMENTS)[number];
	readonly cylinders: number;
	/** Three are two intakes and one exhaust; five are three intakes and two exhausts. */
	readonly valvesPerCylinder: 2 | 3 | 4 | 5;
	/** V and flat engines: 1-2-3 | 4-5-6, or 1-3-5 | 2-4-6, or as the maker numbers them. */
	readonly numbering: (typeof NUMBERINGS)[number];
	/** For the maker's own numbering: the cylinders of each head from the left. */
	readonly ownNumbers?: readonly (readonly number[])[] | undefined;
	/** Two valves in a row: I E · E I · I E, or I E · I E · I E. */
	readonly pairing: (typeof PAIRINGS)[number];
	/** Which valve lies first at the left end of a head with two in a row; intake unless said. */
	readonly firstValve?: (typeof FIRST_VALVES)[number] | undefined;
	/** Whether the second head is the first one's casting turned round; its own unless said. */
	readonly rightHead?: (typeof CASTINGS)[number] | undefined;
	readonly firingOrder?: readonly number[] | undefined;
	/** Crankshaft degrees at which each of the firing order fires; even distances unless said. */
	readonly firingAngles?: readonly number[] | undefined;
}

/** What is wrong with a layout, and where; null when it makes sense. */
export function layoutProblem(
	layout: Layout
): { readonly path: readonly string[]; readonly text: string } | null {
	const { cylinders, arrangement, numbering, ownNumbers, firingOrder } = layout;
	const heads = arrangement === 'inline' ? 1 : 2;
	if (cylinders % heads !== 0) {
		return { path: ['cylinders'], text: issue('layout.odd-cylinders') };
	}
	if (numbering === 'custom') {
		const lists = ownNumbers ?? [];
		const perHead = cylinders / heads;
		if (lists.length !== heads || lists.some((list) => list.length !== perHead))
			return { path: ['ownNumbers'], text: issue('layout.own-numbers', { perHead, heads }) };
		if (!isEachOnce(lists.flat(), cylinders))
			return { path: ['ownNumbers'], text: issue('layout.each-once', { cylinders }) };
	}
	if (firingOrder && !isEachOnce(firingOrder, cylinders)) {
		return { path: ['firingOrder'], text: issue('layout.each-once', { cylinders }) };
	}
	return layout.firingAngles ? anglesProblem(layout.firingAngles, firingOrder) : null;
}

/** Two cylinders may fire together; none fires before the one in front of it. */
function anglesProblem(angles: readonly number[], firingOrder: readonly number[] | undefined) {
	const problem = (text: string) => ({ path: ['firingAngles'], text });
	if (angles.length !== (firingOrder?.length ?? 0)) return problem(issue('layout.angles-count'));
	if (angles[0] !== 0) return problem(issue('layout.first-angle'));
	if (angles.some((angle, i) => angle < (angles[i - 1] ?? 0) || angle >= 720))
		return problem(issue('layout.angles-grow'));
	return null;
}

const isEachOnce = (numbers: readonly number[], max: number) =>
	numbers.length === max &&
	new Set(numbers).size === max &&
	numbers.every((number) => number >= 1 && number <= max);

export interface StationPlace {
	/** Cylinder number, I or E, and a or b where there are two of a kind: "3I", "12Eb". */
	readonly label: string;
	readonly head: string;
	readonly cylinder: number;
	readonly kind: Kind;
	/** Position along the head in cylinder pitches, from the left end as it lies on the bench. */
	readonly along: number;
	/** Row across the head: 0 is the far row, 1 the near one; 0.5 for a single row. */
	readonly across: number;
}

/** The heads of a layout: one for an inline engine, two for a V or flat one. */
export function headsOf(layout: Layout): readonly { id: string; name: string }[] {
	if (layout.arrangement === 'inline') return [{ id: 'A', name: 'head' }];
	return [
		{ id: 'A', name: 'left head' },
		{ id: 'B', name: 'right head' }
	];
}

/**
 * Every valve station of a layout, head by head, in the order they lie along
 * the bench from the left.
 *
 * @throws RangeError for a V or flat engine with an odd number of cylinders
 */
export function stationsOf(layout: Layout): StationPlace[] {
	const heads = headsOf(layout);
	if (layout.cylinders % heads.length !== 0) {
		throw new RangeError(`${layout.cylinders} cylinders do not divide over two heads`);
	}
	const perHead = layout.cylinders / heads.length;
	return heads.flatMap((head, bank) => {
		const turned = bank === 1 && layout.rightHead === 'reversed';
		return range(perHead).flatMap((position) => {
			const cylinder = cylinderAt(layout, heads.length, perHead, bank, position);
			return valvesOf(layout, position, perHead, turned).map(({ suffix, ...valve }) => ({
				label: `${cylinder}${valve.kind === 'intake' ? 'I' : 'E'}${suffix}`,
				head: head.id,
				cylinder,
				...valve
			}));
		});
	});
}

function cylinderAt(
	layout: Layout,
	heads: number,
	perHead: number,
	bank: number,
	position: number
): number {
	switch (layout.numbering) {
		case 'custom':
			return layout.ownNumbers?.[bank]?.[position] ?? bank * perHead + position + 1;
		case 'alternating':
			return position * heads + bank + 1;
		case 'bank-by-bank':
			return bank * perHead + position + 1;
	}
}

const SUFFIXES = ['a', 'b', 'c'] as const;

/** Intakes and exhausts of a cylinder with more than two valves. */
const COUNTS = { 3: [2, 1], 4: [2, 2], 5: [3, 2] } as const;

/** The valves of one cylinder, left to right, for the cylinder at this position in its head. */
function valvesOf(layout: Layout, position: number, perHead: number, turned: boolean) {
	const { valvesPerCylinder } = layout;
	if (valvesPerCylinder !== 2) {
		const counts = COUNTS[valvesPerCylinder];
		const each = KINDS.flatMap((kind, row) => {
			const count = counts[row]!;
			return range(count).map((i) => ({
				kind,
				suffix: count === 1 ? '' : SUFFIXES[i]!,
				along: position + 0.5 + (i - (count - 1) / 2) * (count === 3 ? 0.3 : 0.46),
				across: turned ? 1 - row : row
			}));
		});
		return each.toSorted((a, b) => a.along - b.along || a.across - b.across);
	}
	// A casting turned round is read from its other end, with the valves of each pair the other way.
	const place = turned ? perHead - 1 - position : position;
	const swapped =
		(layout.pairing === 'mirrored' && place % 2 === 1) !==
		((layout.firstValve === 'exhaust') !== turned);
	const order = swapped ? KINDS.toReversed() : KINDS;
	return order.map((kind, i) => ({
		kind,
		suffix: '',
		along: position + 0.28 + 0.44 * i,
		across: 0.5
	}));
}

const range = (length: number) => Array.from({ length }, (_, i) => i);
