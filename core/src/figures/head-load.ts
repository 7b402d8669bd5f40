/** A load read on the head against what the spring's curve gives at this height. Source: handbook §5. */
import { newtons, type Newtons } from '../units/index.ts';
import { message } from '../message/index.ts';
import { judge, notMeasured, type Verdict } from '../verdict/index.ts';
import { figure } from './figure.ts';
import { band } from './judging.ts';
import type { StationRead } from './read.ts';
import { seatLoad } from './seat-load.ts';

declare module '../message/message.ts' {
	interface Messages {
		'need.seat-load': null;
		'head-load.under': { readonly load: Newtons; readonly part: number };
		'head-load.over': { readonly load: Newtons; readonly part: number };
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'seat-load-at-height': true;
	}
}

/** null where nobody read one; beyond the band it is a finding with its likely causes. */
export const headLoad = figure({
	dimension: 'load',
	isColumn: false,
	watchIsAccepted: true,
	verdict: judged
});

function judged(station: StationRead): Verdict<Newtons> | null {
	const load = station.read.headLoad?.value ?? null;
	if (load === null) return null;
	const expected = seatLoad.verdict(station).figure;
	if (expected === null)
		return {
			...notMeasured<Newtons>(message('need.seat-load')),
			figure: load,
			sources: ['measured']
		};
	return judge(load, {
		dimension: 'load',
		limits: band('seat-load-at-height', expected, station.shared.limits.loadTolerance),
		sources: ['measured'],
		remedy: () =>
			message(load < expected ? 'head-load.under' : 'head-load.over', {
				load,
				part: Math.abs(newtons(load - expected)) / expected
			})
	});
}
