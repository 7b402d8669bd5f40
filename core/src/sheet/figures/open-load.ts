/** Load at full lift, against what is asked for or promised and what the train bears. Source: docs/trade/springs.md. */
import { loadOf, mm, newtons, type Newtons } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { loadUncertainty } from '../../springs/spring/index.ts';
import { combinedUncertainty, notMeasured, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { band, judgedOr, loadRemedy } from './judging.ts';
import type { StationRead } from './read.ts';
import { lacking, loadSources, unknownThere, wantedLoad } from './spring-loads.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.open-load-target': null;
		'open-load.above-max': { readonly by: Newtons };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'open-load-target': true;
		'max-open-load': true;
	}
}

/** In N, from the spring's curve at the height less the net lift. */
export const openLoad = figure({ dimension: 'load', isColumn: true, verdict: judged });

function judged(station: StationRead): Verdict<Newtons> {
	const { height, kind, parts, netLift, read, shared } = station;
	if (height === null || !kind.curve || !kind.lift)
		return notMeasured(lacking(station, 'open-load'));
	const open = mm(height - netLift!);
	const load = kind.curve.load(open);
	if (load === null) return notMeasured(unknownThere(kind, open));
	const aimed = kind.target.height === null ? null : mm(kind.target.height - kind.lift.net);
	const wanted = wantedLoad(station, 'open-load', aimed);
	const among =
		wanted === null ? [] : band('open-load-target', wanted, shared.limits.loadTolerance);
	if (parts.maxOpenLoad) {
		const at = loadOf(parts.maxOpenLoad);
		among.push({ code: 'max-open-load', side: 'ceiling', at, severity: 'watch' });
	}
	return judgedOr(message('need.open-load-target'), load, {
		dimension: 'load',
		limits: among,
		sources: [
			station.sources.height,
			...loadSources(station, 'open-load', open),
			{ of: 'lift', source: kind.sources.lift! }
		],
		uncertainty: loadUncertainty(
			kind.curve,
			open,
			combinedUncertainty(read.height!.uncertainty, kind.lift.uncertainty ?? 0)
		),
		remedy: (limit) =>
			limit.code === 'max-open-load'
				? message('open-load.above-max', { by: newtons(load - limit.at) })
				: loadRemedy(load, wanted ?? limit.at, 'open-load.off')
	});
}
