/** What is simulated: for each quantity, how a station comes to a figure whose truth is known. */
import type { Check, FigureName, Reading, StationParts } from '../../src/index.ts';
import { findBind, type Solid } from '../../src/springs/sweep/bind.ts';
import { solidOf } from '../../src/springs/sweep/figures.ts';
import { BUILD_OF_FAMILY, roughSpring, type Family } from '../../src/springs/sweep/rough.ts';
import { USUAL_NOISE } from '../../src/springs/sweep/sweep.ts';
import { mm, newtons } from '../../src/foundation/units/quantity.ts';
import { madeUpGauge, PERFECT, readings, type Known, type TrueGauge } from './gauge.ts';
import {
	BIND,
	BIND_FLOOR,
	card,
	entries,
	MIN_LOAD,
	LIFT,
	newId,
	PERSON,
	SEAL_FLOOR
} from './head.ts';
import type { Random } from './random.ts';

/** What a station is given. */
export interface Given {
	readonly readings: readonly Reading[];
	readonly parts?: StationParts;
	readonly checks?: readonly Check[];
}

export interface Row<Context = unknown> {
	readonly name: string;
	readonly figure: FigureName;
	/** The limit that the figure is judged by; null where none of its limits stops. */
	readonly limit: number | null;
	/** What stays as it is while a station is looked at again: its gauge, its tester, its spring. Null where nothing is told. */
	readonly make: (random: Random) => Context | null;
	/** The station with its true figure so far above the limit, or above any figure where there is none. */
	readonly at: (random: Random, context: Context, station: string, over: number) => Given;
	/** Half-width of the interval by the formula of docs/trade/springs.md#uncertainty; null where it is estimated. */
	readonly formula?: (context: Context) => number | null;
}

const INCH = 25.4;
/** Defaults of one reading, in mm. Source: docs/trade/springs.md. */
const USUAL = { height: 0.0015 * INCH, gap: 0.003 * INCH, feeler: 0.001 * INCH } as const;
const PISTON = { clay: 0.005 * INCH, indicator: 0.001 * INCH } as const;
const PISTON_FLOOR = 2;
const LASH = 0.3;

/** A row of a quantity that one gauge reads so many times. */
function read(
	name: string,
	of: {
		readonly quantity: Reading['quantity'];
		readonly figure: FigureName;
		readonly usual: number;
		readonly limit: number | null;
		/** What the gauge shows where the figure is this. */
		readonly shows: (figure: number) => number;
	},
	known: Known,
	count: number
): Row<TrueGauge> {
	return {
		name: `${name}, ${count} reading${count > 1 ? 's' : ''}, ${known}`,
		figure: of.figure,
		limit: of.limit,
		make: (random) => madeUpGauge(random, known, of.usual),
		at: (random, gauge, station, over) => {
			const truth = of.shows((of.limit ?? LASH) + over);
			return {
				readings: [
					...entries(station, of.quantity, readings(random, gauge, truth, count), gauge.carried),
					// A clearance needs no height, but the other way round it would not be judged.
					...(of.quantity === 'installed-height'
						? []
						: entries(station, 'installed-height', ['40 mm'], PERFECT))
				]
			};
		},
		formula: (gauge) => gauge.formula(count)
	};
}

interface Tester {
	readonly height: TrueGauge;
	readonly gain: number;
	readonly scatter: number;
	readonly deviation: number | undefined;
	readonly at: number;
	readonly bow: number;
}

/** Seat load of a tested spring at a measured height. */
function load(known: Known): Row<Tester> {
	return {
		name: `load at height, 1 reading, tester ${known === 'defaults' ? 'unchecked' : 'checked'}`,
		figure: 'seatLoad',
		limit: MIN_LOAD,
		make: (random) => {
			const error = random.between(0.001, 0.004);
			const isChecked = known === 'ten-pairs';
			return {
				height: madeUpGauge(random, known, USUAL.height),
				gain: isChecked ? error * random.normal() : random.between(-0.01, 0.01),
				scatter: 0.005,
				deviation: isChecked ? Math.hypot(0.005, error) : undefined,
				at: random.between(39, 41),
				bow: random.between(0, 0.6)
			};
		},
		at: (random, tester, station, over) => {
			const { height, gain, scatter, deviation, at, bow } = tester;
			const shape = (h: number) => 1 + 0.09 * (at - h) + (bow / 100) * (at - h) * (43 - h);
			const truth = (h: number) => (MIN_LOAD + over) * shape(h);
			const points = Array.from({ length: 9 }, (_, i) => 42.5 - 1.6 * i).map((h) => ({
				height: `${h} mm`,
				load: `${(truth(h) * (1 + gain) * (1 + scatter * random.normal())).toFixed(3)} N`
			}));
			const tested = { points, ...(deviation !== undefined && { loadDeviation: deviation }) };
			return {
				readings: entries(
					station,
					'installed-height',
					readings(random, height, at, 1),
					height.carried
				),
				parts: { spring: { ...card, tested } } as unknown as StationParts
			};
		}
	};
}

/** Piston clearance by clay or indicator, read once. */
function piston(method: keyof typeof PISTON): Row<number> {
	return {
		name: `piston clearance by ${method}, 1 reading, defaults`,
		figure: 'piston',
		limit: PISTON_FLOOR,
		make: (random) => random.between(0.3, 1) * PISTON[method],
		at: (random, scatter, station, over) => {
			const room = PISTON_FLOOR + over + scatter * random.normal();
			const check = {
				type: 'piston-to-valve' as const,
				station,
				method,
				points: [{ angle: 10, room: `${room.toFixed(6)} mm` }],
				id: newId(),
				person: PERSON,
				at: '2026-01-02T09:00:00.000Z'
			};
			return { readings: [], checks: [check] };
		},
		formula: () => 1.959964 * PISTON[method]
	};
}

interface Swept {
	readonly solid: number;
	readonly found: number;
	readonly uncertainty: number;
}

/** Coil bind margin on a bind that a sweep found; the spring's build stated or not. */
function bind(family: Family, isStated: boolean): Row<Swept> {
	const expected: Solid = solidOf(isStated ? BUILD_OF_FAMILY[family] : undefined);
	return {
		name: `bind of a ${family}, build ${isStated ? 'stated' : 'unknown'}`,
		figure: 'bindMargin',
		limit: BIND_FLOOR,
		make: (random) => {
			const spring = roughSpring(family, () => random.next());
			const step = random.pick(0.25, 0.5, 0.8, 1.27);
			const frame = spring.load(spring.solid) / random.between(0.4, 1.4);
			const dialSolid = spring.solid;
			const loadAt = (h: number) =>
				h >= dialSolid ? spring.load(h) : spring.load(dialSolid) + frame * (dialSolid - h);
			const points = [];
			const lowest = dialSolid - (3 + 2 * random.next()) * step;
			for (let h = spring.free - step * random.next(); h > lowest; h -= step)
				points.push({
					height: mm(h + USUAL_NOISE.height * random.normal()),
					load: newtons(Math.max(0, loadAt(h) * (1 + USUAL_NOISE.load * random.normal())))
				});
			const found = findBind(
				points.toSorted((a, b) => b.height - a.height),
				expected
			);
			if (found.type === 'none') return null;
			return {
				solid: dialSolid,
				found: found.height,
				uncertainty: Math.max(found.to - found.height, found.height - found.from)
			};
		},
		at: (_, { solid, found, uncertainty }, station, over) => {
			const height = solid + LIFT + BIND_FLOOR + over;
			const tested = {
				points: [
					{ height: `${height + 5} mm`, load: '400 N' },
					{ height: `${solid} mm`, load: '1500 N' }
				],
				bind: `${found.toFixed(6)} mm`,
				bindUncertainty: `${uncertainty.toFixed(6)} mm`
			};
			return {
				readings: entries(station, 'installed-height', [`${height} mm`], PERFECT),
				parts: { spring: { ...card, tested } } as unknown as StationParts
			};
		}
	};
}

const COUNTS = [1, 2, 3, 5];
const KNOWN: readonly Known[] = ['ten-pairs', 'defaults'];
const FAMILIES: readonly Family[] = ['single', 'progressive', 'dual', 'triple', 'beehive', 'cone'];

const QUANTITIES = {
	'bind-margin-by-height': {
		quantity: 'installed-height',
		figure: 'bindMargin',
		usual: USUAL.height,
		limit: BIND_FLOOR,
		shows: (margin: number) => margin + LIFT + BIND
	},
	'seal-clearance-by-gap': {
		quantity: 'seal-gap',
		figure: 'sealClearance',
		usual: USUAL.gap,
		limit: SEAL_FLOOR,
		shows: (clearance: number) => clearance + LIFT
	},
	lash: {
		quantity: 'lash',
		figure: 'lash',
		usual: USUAL.feeler,
		limit: null,
		shows: (lash: number) => lash
	}
} as const;

/** Everything that is simulated, a row each. */
export const ROWS: readonly Row[] = [
	...Object.entries(QUANTITIES).flatMap(([name, of]) =>
		KNOWN.flatMap((known) => COUNTS.map((count) => read(name, of, known, count)))
	),
	...KNOWN.map(load),
	piston('clay'),
	piston('indicator'),
	...FAMILIES.flatMap((family) => [bind(family, true), bind(family, false)])
] as unknown as readonly Row[];
