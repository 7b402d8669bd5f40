/** The calculators of a day, each by the formula that a job uses (docs/trade/calculators.md). */
import { coilBindMargin, sealClearance } from '../sheet/clearance/index.ts';
import { netSeatForce } from '../valvetrain/control/index.ts';
import {
	chamberAfter,
	compressionRatio,
	defaultLimits,
	defaultSetup,
	sweptVolume
} from '../job/document/index.ts';
import { ADJUSTERS, changePerTurn, hotLash, turnsFor } from '../valvetrain/lash/index.ts';
import { grossLift, solidLift } from '../valvetrain/lift/index.ts';
import { message, type Message } from '../foundation/message/index.ts';
import {
	cardCurve,
	rateBetween,
	storedEnergy,
	testedCurve,
	type Point
} from '../springs/spring/index.ts';
import { suggestShims, UNCOUNTED } from '../parts/shim/index.ts';
import { dialTarget, nonLinearity } from '../springs/sweep/index.ts';
import {
	cubicCentimetres,
	lengthOf,
	mm,
	newtons,
	newtonsPerMm,
	type Kilopascals,
	type LengthUnit,
	type Millimetres
} from '../foundation/units/index.ts';
import type {
	Calculator,
	CalculatorCode,
	CalculatorDimension,
	CalculatorField,
	CalculatorFieldKey,
	CalculatorResult,
	CalculatorResultKey,
	Term
} from './calculator.ts';

declare module '../foundation/message/message.ts' {
	interface Messages {
		'sum.not-negative': { readonly field: CalculatorFieldKey };
		'sum.above-zero': { readonly field: CalculatorFieldKey };
		'sum.one-height': null;
		'sum.no-spring': null;
		'sum.too-tall': null;
		'sum.no-room': null;
		'sum.out-of-reach': null;
	}
}

const length = (value: number): Term => ({ value, dimension: 'length' });
const load = (value: number): Term => ({ value, dimension: 'load' });
const rate = (value: number): Term => ({ value, dimension: 'rate' });
const number = (value: number): Term => ({ value, dimension: 'number' });

const result = (
	key: CalculatorResultKey,
	dimension: CalculatorDimension,
	value: number,
	...working: readonly Term[]
): CalculatorResult => ({ key, dimension, value, working });

const field = <Key extends CalculatorFieldKey>(
	key: Key,
	dimension: CalculatorDimension,
	usual?: string
) => ({
	key,
	dimension,
	...(usual !== undefined && { usual })
});
const lengths = <Key extends CalculatorFieldKey>(...keys: readonly Key[]) =>
	keys.map((key) => field(key, 'length'));

/** Figures that may be negative: a piston above the deck, lash that closes as the engine warms, a conversion. */
const SIGNED: readonly CalculatorFieldKey[] = [
	'deck',
	'growth',
	'cut',
	'pressure',
	'length',
	'load'
];
/** Figures that must be above zero. */
const ABOVE_ZERO: readonly CalculatorFieldKey[] = [
	'bind',
	'lobe',
	'ratio',
	'bore',
	'stroke',
	'chamber',
	'open',
	'head',
	'pitch'
];

/** Returns what is wrong with the first figure that is out of range, or null. */
function outOfRange(of: Readonly<Record<string, number>>): Message | null {
	for (const [key, value] of Object.entries(of)) {
		const field = key as CalculatorFieldKey;
		if (ABOVE_ZERO.includes(field) && value <= 0) return message('sum.above-zero', { field });
		if (!SIGNED.includes(field) && value < 0) return message('sum.not-negative', { field });
	}
	return null;
}

/** Shims of followers are made in steps of this many millimetres. Source: shop practice. */
const FOLLOWER_STEP = 0.05;

/** The stack of usual sizes that comes closest to a height, two shims at most. Source: docs/trade/sheet.md#target-height. */
function fromStock(bare: number, wanted: number, unit: LengthUnit): CalculatorResult {
	const { shimStock, limits } = defaultSetup(unit, '');
	const answer = suggestShims({
		unshimmed: mm(bare),
		present: [],
		aim: mm(wanted),
		lowest: null,
		stock: shimStock.map(({ thickness }) => ({ thickness: lengthOf(thickness), count: UNCOUNTED })),
		max: limits.maxShims,
		deadBand: mm(0)
	});
	const shims = answer.type === 'fit' ? answer.shims : [];
	const working = shims.flatMap((shim, i) => (i === 0 ? [length(shim)] : ['+', length(shim)]));
	const total = shims.reduce((all: number, shim) => all + shim, 0);
	return result('stock', 'length', total, ...working);
}

/** Keeps a sum's own field names for its working, and forgets them for the list. */
const calculator = <Key extends CalculatorFieldKey>(
	code: CalculatorCode,
	fields: readonly (CalculatorField & { readonly key: Key })[],
	work: Calculator<Key>['work']
): Calculator => ({ code, fields, work: (of, unit) => outOfRange(of) ?? work(of, unit) });

const point = (height: number, force: number): Point => ({
	height: mm(height),
	load: newtons(force)
});

/** The rate through two points of a card; why there is none where they make no spring. */
function between(a: Point, b: Point): number | Message {
	if (a.height === b.height) return message('sum.one-height');
	const rate = rateBetween(a, b);
	return rate > 0 ? rate : message('sum.no-spring');
}

/** The floors that a job starts with. */
const USUAL = defaultLimits('in');

const TWO_POINTS = [
	field('tall', 'length'),
	field('tallLoad', 'load'),
	field('short', 'length'),
	field('shortLoad', 'load')
] as const;

export const CALCULATORS: readonly Calculator[] = [
	calculator('aim-height', lengths('bind', 'lift', 'cushion'), ({ bind, lift, cushion }) => [
		result(
			'height',
			'length',
			bind + lift + cushion,
			length(bind),
			'+',
			length(lift),
			'+',
			length(cushion)
		)
	]),
	calculator('shim', lengths('bare', 'wanted'), ({ bare, wanted }, unit) => {
		if (wanted > bare) return message('sum.too-tall');
		return [
			result('shim', 'length', bare - wanted, length(bare), '−', length(wanted)),
			fromStock(bare, wanted, unit)
		];
	}),
	calculator(
		'load-at',
		[...TWO_POINTS, field('height', 'length')],
		({ tall, tallLoad, short, shortLoad, height }) => {
			const k = between(point(tall, tallLoad), point(short, shortLoad));
			if (typeof k !== 'number') return k;
			const at = cardCurve(point(tall, tallLoad), newtonsPerMm(k), mm(0)).load(mm(height));
			return at === null
				? message('sum.out-of-reach')
				: [
						result(
							'load',
							'load',
							at,
							load(tallLoad),
							'+',
							rate(k),
							'× (',
							length(tall),
							'−',
							length(height),
							')'
						),
						result('rate', 'rate', k)
					];
		}
	),
	calculator(
		'load-by-rate',
		[
			field('height', 'length'),
			field('load', 'load'),
			field('rate', 'rate'),
			field('other', 'length')
		],
		({ height, load: force, rate: k, other }) => {
			if (k <= 0) return message('sum.no-spring');
			const at = cardCurve(point(height, force), newtonsPerMm(k), mm(0)).load(mm(other));
			return at === null
				? message('sum.out-of-reach')
				: [
						result(
							'load',
							'load',
							at,
							load(force),
							'+',
							rate(k),
							'× (',
							length(height),
							'−',
							length(other),
							')'
						)
					];
		}
	),
	calculator(
		'rate',
		[...TWO_POINTS, field('middleLoad', 'load')],
		({ tall, tallLoad, short, shortLoad, middleLoad }) => {
			const k = between(point(tall, tallLoad), point(short, shortLoad));
			if (typeof k !== 'number') return k;
			const curve = testedCurve([
				point(tall, tallLoad),
				point((tall + short) / 2, middleLoad),
				point(short, shortLoad)
			]);
			const bent = nonLinearity(curve, { seat: mm(tall), lift: mm(tall - short) });
			return [
				result(
					'rate',
					'rate',
					k,
					'(',
					load(shortLoad),
					'−',
					load(tallLoad),
					') ÷ (',
					length(tall),
					'−',
					length(short),
					')'
				),
				...(bent === null ? [] : [result('nonLinearity', 'part', bent)])
			];
		}
	),
	calculator('dial', lengths('height', 'fixture'), ({ height, fixture }) => [
		result(
			'dial',
			'length',
			dialTarget(mm(height), mm(fixture)),
			length(height),
			'+',
			length(fixture)
		)
	]),
	calculator(
		'lift',
		[field('lobe', 'length'), field('ratio', 'number', '1.5'), field('lash', 'length', '0')],
		({ lobe, ratio, lash }) => {
			const { gross, net } = solidLift(grossLift(mm(lobe), ratio), mm(lash));
			return [
				result('net', 'length', net, length(lobe), '×', number(ratio), '−', length(lash)),
				result('gross', 'length', gross, length(lobe), '×', number(ratio))
			];
		}
	),
	calculator('bind-margin', lengths('height', 'lift', 'bind'), ({ height, lift, bind }) => [
		result(
			'margin',
			'length',
			coilBindMargin(mm(height), mm(lift), mm(bind)),
			length(height),
			'−',
			length(lift),
			'−',
			length(bind)
		)
	]),
	calculator('seal', lengths('gap', 'lift'), ({ gap, lift }) => [
		result('clearance', 'length', sealClearance(mm(gap), mm(lift)), length(gap), '−', length(lift))
	]),
	calculator(
		'max-lift',
		[
			...lengths('height', 'bind'),
			field('bindFloor', 'length', USUAL.bindFloor),
			field('gap', 'length'),
			field('sealFloor', 'length', USUAL.sealFloor)
		],
		({ height, bind, bindFloor, gap, sealFloor }) => {
			const byBind = coilBindMargin(mm(height), mm(0), bind as Millimetres) - bindFloor;
			const bySeal = sealClearance(mm(gap), mm(sealFloor));
			const lift = Math.min(byBind, bySeal);
			if (lift <= 0) return message('sum.no-room');
			return [
				result('lift', 'length', lift),
				result(
					'byBind',
					'length',
					byBind,
					length(height),
					'−',
					length(bind),
					'−',
					length(bindFloor)
				),
				result('bySeal', 'length', bySeal, length(gap), '−', length(sealFloor))
			];
		}
	),
	calculator('lash-hot', lengths('cold', 'growth'), ({ cold, growth }) => [
		result('hot', 'length', hotLash(mm(cold), mm(growth)), length(cold), '+', length(growth))
	]),
	calculator(
		'adjuster',
		[...lengths('measured', 'wanted', 'pitch'), field('ratio', 'number', '1.5')],
		({ measured, wanted, pitch, ratio }) =>
			ADJUSTERS.map((at) => {
				const perTurn = changePerTurn(at, mm(pitch), ratio);
				const turns = turnsFor(mm(measured), mm(wanted), perTurn);
				return result(
					at,
					'degrees',
					turns * 360,
					'(',
					length(measured),
					'−',
					length(wanted),
					') ÷',
					length(perTurn),
					'× 360'
				);
			})
	),
	// The ratio is 1 for a bucket, and the finger's where lash is read at the cam.
	calculator(
		'follower',
		[...lengths('shim', 'measured', 'wanted'), field('ratio', 'number', '1')],
		({ shim, measured, wanted, ratio }) => {
			const exact = shim + (measured - wanted) * ratio;
			const size = Math.round(exact / FOLLOWER_STEP) * FOLLOWER_STEP;
			return [
				result(
					'shim',
					'length',
					exact,
					length(shim),
					'+ (',
					length(measured),
					'−',
					length(wanted),
					') ×',
					number(ratio)
				),
				result('stock', 'length', size),
				result('left', 'length', wanted + (exact - size) / ratio)
			];
		}
	),
	calculator(
		'compression',
		[
			...lengths('bore', 'stroke'),
			field('chamber', 'volume'),
			field('gasket', 'volume'),
			field('deck', 'volume', '0'),
			field('open', 'number', '0.82'),
			field('cut', 'length')
		],
		({ bore, stroke, chamber, gasket, deck, open, cut }) => {
			const volumes = {
				bore: mm(bore),
				stroke: mm(stroke),
				chamber: cubicCentimetres(chamber),
				gasket: cubicCentimetres(gasket),
				deck: cubicCentimetres(deck),
				chamberOpen: open
			};
			const before = compressionRatio(volumes);
			const after = compressionRatio(volumes, mm(cut));
			if (before === null || after === null) return message('sum.no-room');
			const swept = sweptVolume(mm(bore), mm(stroke));
			const left = chamberAfter(volumes, mm(cut)) + gasket + deck;
			const volume = (value: number): Term => ({ value, dimension: 'volume' });
			return [
				result(
					'after',
					'number',
					after,
					'(',
					volume(swept),
					'+',
					volume(left),
					') ÷',
					volume(left)
				),
				result('before', 'number', before)
			];
		}
	),
	calculator(
		'net-force',
		[field('seatLoad', 'load'), field('head', 'length'), field('pressure', 'pressure')],
		({ seatLoad, head, pressure }) => [
			result(
				'net',
				'load',
				netSeatForce(newtons(seatLoad), mm(head), pressure as Kilopascals),
				load(seatLoad),
				'−',
				{ value: pressure, dimension: 'pressure' },
				'× π/4 ×',
				length(head),
				'²'
			)
		]
	),
	calculator(
		'energy',
		[...TWO_POINTS, field('height', 'length')],
		({ tall, tallLoad, short, shortLoad, height }) => {
			const k = between(point(tall, tallLoad), point(short, shortLoad));
			if (typeof k !== 'number') return k;
			const joules = storedEnergy(
				cardCurve(point(tall, tallLoad), newtonsPerMm(k), mm(0)),
				mm(height)
			);
			return joules === null ? message('sum.out-of-reach') : [result('energy', 'energy', joules)];
		}
	),
	calculator('length', lengths('length'), ({ length: value }) => [
		result('length', 'length', value)
	]),
	calculator('load', [field('load', 'load')], ({ load: value }) => [result('load', 'load', value)])
];
