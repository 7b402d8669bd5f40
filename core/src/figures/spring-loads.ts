/** Seat and open load, and what a tested spring has lost. Source: handbook §5. */
import {
	lengthOf,
	loadOf,
	mm,
	newtons,
	type Millimetres,
	type Newtons
} from '../units/quantity.ts';
import { ofLength, ofLoad, say, type Phrase } from '../units/phrase.ts';
import { isBeyondTested } from '../spring/curve.ts';
import { judge, notMeasured, type Limit, type Source, type Verdict } from '../verdict/verdict.ts';
import { band, judgedOr, loadRemedy, percent } from './judging.ts';
import type { StationRead } from './read.ts';
import type { KindSheet, Remark } from './sheet.ts';

type WhichLoad = 'seat load' | 'open load';

export function seatLoad(station: StationRead): Verdict<Newtons> {
	const { height, kind, parts, read, shared } = station;
	if (height === null) return notMeasured(['height not measured']);
	if (!kind.curve) return notMeasured(['no spring card']);
	const load = kind.curve.load(height);
	if (load === null) return notMeasured(unknownThere(kind, height));
	const wanted = wantedLoad(station, 'seat load', kind.target.height);
	const among = wanted === null ? [] : band('seat load at the aim', wanted, shared.limits.loadBand);
	if (parts.aim.school === 'as it stands') {
		const at = loadOf(parts.aim.leastSeatLoad);
		among.push({ name: 'least seat load', side: 'floor', at, severity: 'stop' });
	}
	return judgedOr(['no seat load to judge by'], load, {
		sort: 'load',
		limits: among,
		sources: ['measured', ...loadSources(station, 'seat load', height)],
		uncertainty: (kind.rate ?? 0) * read.height!.uncertainty,
		remedy: (limit, state) =>
			state === 'too close'
				? ['Seat load too close to call: measure the height again']
				: loadRemedy('Seat', load, wanted ?? limit.at)
	});
}

export function openLoad(station: StationRead): Verdict<Newtons> {
	const { height, kind, parts, netLift, shared } = station;
	if (height === null) return notMeasured(['height not measured']);
	if (!kind.curve) return notMeasured(['no spring card']);
	if (!kind.lift) return notMeasured(['no lift']);
	const open = mm(height - netLift!);
	const load = kind.curve.load(open);
	if (load === null) return notMeasured(unknownThere(kind, open));
	const aimed = kind.target.height === null ? null : mm(kind.target.height - kind.lift.net);
	const wanted = wantedLoad(station, 'open load', aimed);
	const among = wanted === null ? [] : band('open load at the aim', wanted, shared.limits.loadBand);
	if (parts.greatestOpenLoad) {
		const at = loadOf(parts.greatestOpenLoad);
		among.push({ name: 'greatest open load', side: 'ceiling', at, severity: 'watch' });
	}
	return judgedOr(['no open load to judge by'], load, {
		sort: 'load',
		limits: among,
		sources: ['measured', ...loadSources(station, 'open load', open), kind.sources.lift!],
		remedy: (limit) =>
			limit.name === 'greatest open load'
				? say`Open load ${ofLoad(newtons(load - limit.at))} above what the lifter stands`
				: loadRemedy('Open', load, wanted ?? limit.at)
	});
}

/** The load that was asked for, else what the card or the set promises at the aim (handbook §5). */
function wantedLoad(
	{ kind, parts }: StationRead,
	which: WhichLoad,
	at: Millimetres | null
): Newtons | null {
	if (parts.aim.school === which) return loadOf(parts.aim.load);
	return at === null ? null : (kind.promised?.load(at) ?? null);
}

/** All that a load and what it is held against stand on. */
function loadSources({ kind, parts }: StationRead, which: WhichLoad, at: Millimetres): Source[] {
	const { spring, card, target } = kind.sources;
	const own = kind.curve && isBeyondTested(kind.curve, at) ? [spring, card] : [spring];
	const against =
		parts.aim.school === which || kind.target.height === null ? [] : [card, ...target];
	return [...new Set([...own, ...against].filter((source) => source !== null))];
}

function unknownThere(kind: KindSheet, height: Millimetres): Phrase {
	if (kind.curve?.from === 'tested') return say`Spring not tested at ${ofLength(height)}`;
	return height < (kind.curve?.lowest ?? 0)
		? say`Spring is solid before ${ofLength(height)}`
		: say`${ofLength(height)} is above the spring’s free height`;
}

/** What a tested spring has lost against its card at one height, whatever height is aimed for. */
export function loadLoss({
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
		name: severity === 'stop' ? 'load loss, stop' : 'load loss',
		side: 'floor',
		at: newtons(then * (1 - part)),
		severity
	});
	return judge(now, {
		sort: 'load',
		limits: [floor(limits.sag.watch, 'watch'), floor(limits.sag.stop, 'stop')],
		sources: ['tested', card.source],
		remedy: () =>
			say`Spring has ${ofLoad(now)} at ${ofLength(at)}, ${percent(1 - now / then)} under its card’s ${ofLoad(then)}: test it again, replace it`
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
						text: say`Load at ${ofLength(at)} is from the card’s line: not tested there`
					}
				]
			: []
	);
}
