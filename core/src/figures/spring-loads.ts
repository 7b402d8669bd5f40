/** Seat and open load, and what a tested spring has lost. Source: handbook §5. */
import {
	lengthOf,
	loadOf,
	mm,
	newtons,
	type Millimetres,
	type Newtons
} from '../units/quantity.ts';
import { message, type Message, type Need } from '../message/message.ts';
import { isBeyondTested } from '../spring/curve.ts';
import { judge, notMeasured, type Limit, type Source, type Verdict } from '../verdict/verdict.ts';
import { figure } from './figure.ts';
import { band, judgedOr, loadRemedy } from './judging.ts';
import type { StationRead } from './read.ts';
import type { KindSheet } from './kind.ts';
import type { Remark } from './remark.ts';

declare module '../message/message.ts' {
	interface Messages {
		'need.seat-load-target': null;
		'need.open-load-target': null;
		'seat-load.inconclusive': null;
		'seat-load.off': LoadOff;
		'open-load.off': LoadOff;
		'open-load.above-max': { readonly by: Newtons };
		'spring.not-tested-at': { readonly height: Millimetres };
		'spring.solid-before': { readonly height: Millimetres };
		'spring.free-below': { readonly height: Millimetres };
		'spring.card-line-at': { readonly height: Millimetres };
		'spring.lost-load': {
			readonly load: Newtons;
			readonly card: Newtons;
			readonly height: Millimetres;
			/** Of the card’s load. */
			readonly part: number;
		};
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'seat-load-target': true;
		'min-seat-load': true;
		'open-load-target': true;
		'max-open-load': true;
		'load-loss': true;
		'load-loss-stop': true;
	}
}

interface LoadOff {
	readonly by: Newtons;
	readonly way: 'under' | 'over';
	readonly target: Newtons;
}

type WhichLoad = 'seat-load' | 'open-load';

export const seatLoad = figure({ dimension: 'load', isColumn: true, verdict: judgedSeat });

function judgedSeat(station: StationRead): Verdict<Newtons> {
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
		sources: ['measured', ...loadSources(station, 'seat-load', height)],
		uncertainty: (kind.rate ?? 0) * read.height!.uncertainty,
		remedy: (limit, state) =>
			state === 'inconclusive'
				? message('seat-load.inconclusive')
				: loadRemedy(load, wanted ?? limit.at, 'seat-load.off')
	});
}

export const openLoad = figure({ dimension: 'load', isColumn: true, verdict: judgedOpen });

function judgedOpen(station: StationRead): Verdict<Newtons> {
	const { height, kind, parts, netLift, shared } = station;
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
		sources: ['measured', ...loadSources(station, 'open-load', open), kind.sources.lift!],
		remedy: (limit) =>
			limit.code === 'max-open-load'
				? message('open-load.above-max', { by: newtons(load - limit.at) })
				: loadRemedy(load, wanted ?? limit.at, 'open-load.off')
	});
}

/** The load that was asked for, else what the card or the set promises at the aim (handbook §5). */
function wantedLoad(
	{ kind, parts }: StationRead,
	which: WhichLoad,
	at: Millimetres | null
): Newtons | null {
	if (parts.aim.method === which) return loadOf(parts.aim.load);
	return at === null ? null : (kind.promised?.load(at) ?? null);
}

/** All that a load and what it is held against stand on. */
function loadSources({ kind, parts }: StationRead, which: WhichLoad, at: Millimetres): Source[] {
	const { spring, card, target } = kind.sources;
	const own = kind.curve && isBeyondTested(kind.curve, at) ? [spring, card] : [spring];
	const against =
		parts.aim.method === which || kind.target.height === null ? [] : [card, ...target];
	return [...new Set([...own, ...against].filter((source) => source !== null))];
}

/** What a load needs besides what is there. */
const lacking = ({ height, kind }: StationRead, which: WhichLoad): Need[] => [
	...(height === null ? [message('need.height')] : []),
	...(kind.curve ? [] : [message('need.spring')]),
	...(kind.lift || which === 'seat-load' ? [] : [message('need.lift')])
];

function unknownThere({ curve }: KindSheet, height: Millimetres): Message {
	if (curve?.from === 'tested') return message('spring.not-tested-at', { height });
	return message(height < (curve?.lowest ?? 0) ? 'spring.solid-before' : 'spring.free-below', {
		height
	});
}

/** What a tested spring has lost against its card at one height, whatever height is aimed for. */
export const loadLoss = figure({ dimension: 'load', isColumn: false, verdict: judgedLoss });

function judgedLoss({
	height,
	kind,
	parts,
	shared: { limits }
}: StationRead): Verdict<Newtons> | null {
	const { curve, line } = kind;
	const card = parts.spring;
	if (curve?.from !== 'tested' || !line || !card) return null;
	const places = [height, lengthOf(card.seat.height)].flatMap((at) => {
		if (at === null || isBeyondTested(curve, at)) return [];
		const [now, then] = [curve.load(at), line.load(at)];
		return now === null || then === null || then <= 0 ? [] : [{ at, now, then }];
	});
	const [place] = places;
	if (!place) return null;
	const { at, now, then } = place;
	const floor = (part: number, severity: Limit['severity']): Limit<Newtons> => ({
		code: severity === 'stop' ? 'load-loss-stop' : 'load-loss',
		side: 'floor',
		at: newtons(then * (1 - part)),
		severity
	});
	return judge(now, {
		dimension: 'load',
		limits: [floor(limits.sag.watch, 'watch'), floor(limits.sag.stop, 'stop')],
		sources: ['tested', card.source],
		remedy: () =>
			message('spring.lost-load', { load: now, card: then, height: at, part: 1 - now / then })
	});
}

/** Loads that are the card's, because the spring was not tested so far. */
export function beyondTested({ height, kind: { curve, lift } }: StationRead): Remark[] {
	if (height === null || !curve) return [];
	const open = lift ? [mm(height - lift.net)] : [];
	return [height, ...open].flatMap((at) =>
		isBeyondTested(curve, at) && curve.load(at) !== null
			? [
					{
						state: 'watch' as const,
						text: message('spring.card-line-at', { height: at })
					}
				]
			: []
	);
}
