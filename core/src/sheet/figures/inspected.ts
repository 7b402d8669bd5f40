/**
 * What was measured on a valve, its seat and its chamber before the head is built: held
 * against the shop's limits, and against the middle of its kind. Source: docs/trade/assembly.md, step 3.
 */
import { siOf, type CubicCentimetres, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { meanOfRepeats, readAs, trueFigure, type Inspected } from '../../job/document/index.ts';
import { judge, type Limit, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { medianKey } from './inspected-limits.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'inspected.inconclusive': { readonly quantity: Inspected };
		'inspected.beyond': {
			readonly quantity: Inspected;
			readonly by: number;
			readonly way: 'under' | 'over';
		};
		'inspected.apart': {
			readonly quantity: Inspected;
			readonly by: number;
			readonly way: 'under' | 'over';
		};
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'inspected-least': true;
		'inspected-most': true;
		'inspected-apart': true;
	}
}

/** In mm, or in cubic centimetres. */
type Figured = Millimetres | CubicCentimetres;
export type InspectedLimit = Limit<Figured>;
/** The figure of one quantity; null where nobody measured it. */
const inspected = (quantity: Inspected) =>
	figure({
		dimension: readAs(quantity) === 'volume' ? 'volume' : 'length',
		isColumn: false,
		verdict: (station) => judged(quantity, station)
	});

function judged(quantity: Inspected, at: StationRead): Verdict<Figured> | null {
	const readings = at.current[quantity];
	if (readings.length === 0) return null;
	const read = meanOfRepeats(readings, (one) => trueFigure(one) as Figured, at.shared.repeats)!;
	return judge<Figured>(read.value, {
		dimension: readAs(quantity) === 'volume' ? 'volume' : 'length',
		limits: limitsOf(quantity, at),
		sources: ['measured'],
		uncertainty: read.uncertainty,
		resolution: siOf(read.newest.gauge.resolution),
		remedy: (limit, state) => {
			if (state === 'inconclusive') return message('inspected.inconclusive', { quantity });
			const way = limit.side === 'floor' ? 'under' : 'over';
			const isApart = limit.code === 'inspected-apart';
			const from = isApart ? at.medians.get(medianKey(quantity, at.station.kind))! : limit.at;
			return message(isApart ? 'inspected.apart' : 'inspected.beyond', {
				quantity,
				by: Math.abs(read.value - from),
				way
			});
		}
	});
}

/** Worn beyond what the shop allows stops; standing apart from its kind is to be looked at. */
function limitsOf(
	quantity: Inspected,
	{ station, shared, medians }: StationRead
): InspectedLimit[] {
	const { min, max, apart } = shared.inspected[station.kind][quantity];
	const median = medians.get(medianKey(quantity, station.kind));
	const limits: InspectedLimit[] = [];
	const add = (code: InspectedLimit['code'], side: InspectedLimit['side'], at: number) =>
		limits.push({
			code,
			side,
			at: at as Figured,
			severity: code === 'inspected-apart' ? 'watch' : 'stop'
		});
	if (min !== null) add('inspected-least', 'floor', min);
	if (max !== null) add('inspected-most', 'ceiling', max);
	if (apart !== null && median !== undefined) {
		add('inspected-apart', 'floor', median - apart);
		add('inspected-apart', 'ceiling', median + apart);
	}
	return limits;
}

/** Every quantity of an inspection as a figure of the sheet, in the order of the work. */
export const INSPECTED_FIGURES = {
	valveLength: inspected('valve-length'),
	tipLength: inspected('tip-length'),
	stemDiameter: inspected('stem-diameter'),
	stemClearance: inspected('stem-clearance'),
	seatWidth: inspected('seat-width'),
	seatRunOut: inspected('seat-run-out'),
	valveMargin: inspected('valve-margin'),
	stemHeight: inspected('stem-height'),
	headBelowDeck: inspected('head-below-deck'),
	valveLift: inspected('valve-lift'),
	chamberVolume: inspected('chamber-volume')
};
