/** What holds a closed valve shut while its port's pressure pushes on it. Source: docs/trade/valvetrain.md#control. */
import { lengthOf, newtons, pressureOf, type Newtons } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { netSeatForce } from '../../valvetrain/control/index.ts';
import { loadUncertainty } from '../../springs/spring/index.ts';
import { judge, notMeasured, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import type { StationRead } from './read.ts';
import { lacking, loadSources, unknownThere } from './spring-loads.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.valve.head': null;
		'net-seat-load.pushed-open': { readonly wanted: Newtons };
		'net-seat-load.low': { readonly by: Newtons; readonly wanted: Newtons };
		'net-seat-load.too-close': null;
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'pushed-open': true;
		'net-seat-load': true;
	}
}

/** In N; null where no pressure in the port is given. */
export const netSeatLoad = figure({ dimension: 'load', isColumn: true, verdict: judged });

function judged(station: StationRead): Verdict<Newtons> | null {
	const { parts, kind, height, read, shared } = station;
	if (!parts.portPressure) return null;
	const needs = [
		...lacking(station, 'seat-load'),
		...(parts.valve?.head ? [] : [message('need.valve.head')])
	];
	if (needs.length > 0) return notMeasured(needs);
	const seat = kind.curve!.load(height!);
	if (seat === null) return notMeasured(unknownThere(kind, height!));
	const net = netSeatForce(seat, lengthOf(parts.valve!.head!), pressureOf(parts.portPressure));
	const min = shared.limits.netSeatLoad;
	/** The seat load that would leave what is wanted. */
	const wanted = newtons(seat - net + min);
	return judge(net, {
		dimension: 'load',
		limits: [
			{ code: 'pushed-open', side: 'floor', at: newtons(0), severity: 'stop' },
			{ code: 'net-seat-load', side: 'floor', at: min, severity: 'watch' }
		],
		sources: [station.sources.height, ...loadSources(station, 'seat-load', height!)],
		uncertainty: loadUncertainty(kind.curve!, height!, read.height!.uncertainty),
		remedy: ({ code }, state) =>
			state === 'inconclusive'
				? message('net-seat-load.too-close')
				: code === 'pushed-open'
					? message('net-seat-load.pushed-open', { wanted })
					: message('net-seat-load.low', { by: newtons(min - net), wanted })
	});
}
