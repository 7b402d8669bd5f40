/** What a quick sum is: a few figures in, one or a few out, each with the line it was worked out by. */
import type { Message } from '../foundation/message/index.ts';
import type { LengthUnit } from '../foundation/units/index.ts';

/** What a figure measures; those without a unit are plain numbers. */
export type SumDimension =
	'length' | 'load' | 'rate' | 'number' | 'degrees' | 'volume' | 'pressure' | 'energy' | 'part';

export const SUM_CODES = [
	'aim-height',
	'shim',
	'load-at',
	'load-by-rate',
	'rate',
	'dial',
	'lift',
	'bind-margin',
	'seal',
	'max-lift',
	'lash-hot',
	'adjuster',
	'follower',
	'compression',
	'net-force',
	'energy',
	'length',
	'load'
] as const;
export type SumCode = (typeof SUM_CODES)[number];

/** Every figure that some sum asks for. */
export const SUM_FIELDS = [
	'bind',
	'lift',
	'cushion',
	'bare',
	'wanted',
	'tall',
	'tallLoad',
	'short',
	'shortLoad',
	'middleLoad',
	'height',
	'load',
	'rate',
	'other',
	'fixture',
	'lobe',
	'ratio',
	'lash',
	'gap',
	'bindFloor',
	'sealFloor',
	'cold',
	'growth',
	'measured',
	'pitch',
	'shim',
	'bore',
	'stroke',
	'chamber',
	'gasket',
	'deck',
	'open',
	'cut',
	'seatLoad',
	'head',
	'pressure',
	'length'
] as const;
export type SumFieldKey = (typeof SUM_FIELDS)[number];

/** Every figure that some sum answers with. */
export const SUM_RESULTS = [
	'height',
	'shim',
	'stock',
	'left',
	'load',
	'rate',
	'nonLinearity',
	'dial',
	'net',
	'gross',
	'margin',
	'clearance',
	'lift',
	'byBind',
	'bySeal',
	'hot',
	'stud-nut',
	'pushrod-end',
	'valve-end',
	'after',
	'before',
	'energy',
	'length'
] as const;
export type SumResultKey = (typeof SUM_RESULTS)[number];

/** One figure that is typed. */
export interface SumField {
	readonly key: SumFieldKey;
	readonly dimension: SumDimension;
	/** What stands there until somebody types another, as it would be typed. */
	readonly usual?: string;
}

/** A figure of the working, or a sign between two. */
export type Term = { readonly value: number; readonly dimension: SumDimension } | string;

export interface SumResult {
	readonly key: SumResultKey;
	/** In the SI unit of its dimension: mm, N, N/mm, cm³, kPa, J. */
	readonly value: number;
	readonly dimension: SumDimension;
	/** How it came about, such as 1.150 + 0.540 + 0.060; empty where a sign says nothing. */
	readonly working: readonly Term[];
}

export interface Sum<Key extends SumFieldKey = SumFieldKey> {
	readonly code: SumCode;
	readonly fields: readonly (SumField & { readonly key: Key })[];
	/**
	 * Works it out.
	 *
	 * @param of every field's figure in its SI unit
	 * @param unit of length, by which sizes in stock go
	 * @returns the results, or why there is none
	 */
	readonly work: (
		of: Readonly<Record<Key, number>>,
		unit: LengthUnit
	) => readonly SumResult[] | Message;
}
