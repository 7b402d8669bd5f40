/** Load with the valve closed, against what is asked for or promised. Source: docs/trade/springs.md. */
import { loadOf, type Newtons } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { loadUncertainty } from '../../springs/spring/index.ts';
import { notMeasured, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { band, judgedOr, loadRemedy } from './judging.ts';
import type { StationRead } from './read.ts';
import { lacking, loadSources, unknownThere, wantedLoad } from './spring-loads.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.seat-load-target': null;
		'seat-load.inconclusive': null;
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'seat-load-target': true;
		'min-seat-load': true;
	}
}

/** In N, from the spring's curve at the installed height. */
export const seatLoad = figure({ dimension: 'load', isColumn: true, verdict: judged });

function judged(station: StationRead): Verdict<Newtons> {
	const { height, kind, parts, read, shared } = station;
	if (height === null || !kind.curve) return notMeasured(lacking(station, 'seat-load'));
	const load = kind.curve.load(height);
	if (load === null) return notMeasured(unknownThere(kind, height));
	const wanted = wantedLoad(station, 'seat-load', kind.target.height);
	const among =
		wanted === null ? [] : band('seat-load-target', wanted, shared.limits.loadTolerance);
	if (parts.aim.method === 'as-it-stands') {
		const at = loadOf(parts.aim.minSeatLoad);
		among.push({ code: 'min-seat-load', side: 'floor', at, severity: 'stop' });
	}
	return judgedOr(message('need.seat-load-target'), load, {
		dimension: 'load',
		limits: among,
		sources: [station.sources.height, ...loadSources(station, 'seat-load', height)],
		uncertainty: loadUncertainty(kind.curve, height, read.height!.uncertainty),
		remedy: (limit, state) =>
			state === 'inconclusive'
				? message('seat-load.inconclusive')
				: loadRemedy(load, wanted ?? limit.at, 'seat-load.off')
	});
}
