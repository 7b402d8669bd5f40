/** What a quick sum is: a few figures in, one or a few out, each with the line it was worked out by. */
import type { Message } from '../foundation/message/index.ts';
import type { LengthUnit } from '../foundation/units/index.ts';

/** What a figure measures; those without a unit are plain numbers. */
export type CalculatorDimension =
	'length' | 'load' | 'rate' | 'number' | 'degrees' | 'volume' | 'pressure' | 'energy' | 'part';

export const CALCULATOR_CODES = [
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
export type CalculatorCode = (typeof CALCULATOR_CODES)[number];

/** Every figure that some sum asks for. */
export const CALCULATOR_FIELDS = [
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
export type CalculatorFieldKey = (typeof CALCULATOR_FIELDS)[number];

/** Every figure that some sum answers with. */
export const CALCULATOR_RESULTS = [
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
export type CalculatorResultKey = (typeof CALCULATOR_RESULTS)[number];

/** One figure that is typed. */
export interface CalculatorField {
	readonly key: CalculatorFieldKey;
	readonly dimension: CalculatorDimension;
	/** What stands there until somebody types another, as it would be typed. */
	readonly usual?: string;
}

/** A figure of the working, or a sign between two. */
export type Term = { readonly value: number; readonly dimension: CalculatorDimension } | string;

export interface CalculatorResult {
	readonly key: CalculatorResultKey;
	/** In the SI unit of its dimension: mm, N, N/mm, cm³, kPa, J. */
	readonly value: number;
	readonly dimension: CalculatorDimension;
	/** How it came about, such as 1.150 + 0.540 + 0.060; empty where a sign says nothing. */
	readonly working: readonly Term[];
}

export interface Calculator<Key extends CalculatorFieldKey = CalculatorFieldKey> {
	readonly code: CalculatorCode;
	readonly fields: readonly (CalculatorField & { readonly key: Key })[];
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
	) => readonly CalculatorResult[] | Message;
}
