/**
 * A load read on the head: against what the spring's curve gives at this height, or at the
 * target while no height is measured, and against the middle of its kind. Source: docs/trade/springs.md.
 */
import { newtons, type Newtons } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import type { Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { medianKey } from './inspected-limits.ts';
import { band, judgedOr } from './judging.ts';
import type { StationRead } from './read.ts';
import { seatLoad } from './seat-load.ts';
import { wantedLoad } from './spring-loads.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.seat-load': null;
		'head-load.under': { readonly load: Newtons; readonly part: number };
		'head-load.over': { readonly load: Newtons; readonly part: number };
		'head-load.off-target': {
			readonly load: Newtons;
			readonly part: number;
			readonly way: 'under' | 'over';
		};
		'head-load.apart': { readonly part: number; readonly way: 'under' | 'over' };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'seat-load-at-height': true;
		'seat-load-target': true;
		'head-load-median': true;
	}
}

/** null where nobody read one; beyond the band it is a finding with its likely causes. */
export const headLoad = figure({
	dimension: 'load',
	isColumn: true,
	watchIsAccepted: true,
	verdict: judged
});

function judged(station: StationRead): Verdict<Newtons> | null {
	const load = station.read.headLoad?.value ?? null;
	if (load === null) return null;
	const { kind, medians, shared } = station;
	const atHeight = seatLoad.verdict(station).figure;
	const expected = atHeight ?? wantedLoad(station, 'seat-load', kind.target.height);
	const median = medians.get(medianKey('on-head-load', station.station.kind));
	const part = shared.limits.loadTolerance;
	return judgedOr(message('need.seat-load'), load, {
		dimension: 'load',
		limits: [
			...(expected === null
				? []
				: band(atHeight === null ? 'seat-load-target' : 'seat-load-at-height', expected, part)),
			...(median === undefined ? [] : band('head-load-median', newtons(median), part))
		],
		sources: ['measured'],
		remedy: ({ code }) => {
			const from = code === 'head-load-median' ? median! : expected!;
			const off = Math.abs(load - from) / from;
			const way = load < from ? 'under' : 'over';
			if (code === 'head-load-median') return message('head-load.apart', { part: off, way });
			if (code === 'seat-load-target')
				return message('head-load.off-target', { load, part: off, way });
			return message(load < from ? 'head-load.under' : 'head-load.over', { load, part: off });
		}
	});
}
