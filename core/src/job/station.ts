/** One station of the sheet: its figures, their verdicts, and what to do about them. */
import {
	lengthOf,
	loadOf,
	mm,
	newtons,
	type Millimetres,
	type Newtons
} from '../units/quantity.ts';
import { joined, ofLength, ofLoad, say, type Phrase } from '../units/phrase.ts';
import { bareHeight, installedHeight, sealGap, tipHeight, type InPlace } from '../station/stack.ts';
import { coilBindMargin, sealClearance } from '../clearance/clearance.ts';
import { storedEnergy } from '../spring/curve.ts';
import { lashVerdict } from '../lash/lash.ts';
import { suggestShims, type ShimAnswer, type ShimStock } from '../plan/shim.ts';
import { expandedUncertainty } from '../verdict/uncertainty.ts';
import {
	judge,
	notMeasured,
	byAlarm,
	worst,
	type Limit,
	type Verdict
} from '../verdict/verdict.ts';
import type { Standing } from './in-force.ts';
import { movingMass } from '../mass/mass.ts';
import { seenOn } from '../inspection/inspection.ts';
import type { Quantity } from './quantities.ts';
import type {
	InPlaceEntry,
	Inspection,
	Job,
	KindSetup,
	Limits,
	Reading,
	Setup,
	StationEntry
} from './schema.ts';
import type { KindSheet, Outcome, Remark, StationSheet } from './sheet.ts';

/** What all stations of a job are judged by, read from its set-up once. */
export interface Shared {
	readonly limits: ReturnType<typeof limitFigures>;
	readonly stock: readonly ShimStock[];
	readonly railTip: Millimetres;
}

export function sharedBy(setup: Setup): Shared {
	return {
		limits: limitFigures(setup.limits),
		stock: setup.shimStock.map((size) => ({
			thickness: lengthOf(size.thickness),
			count: size.count
		})),
		railTip: lengthOf(setup.limits.fit.railTip)
	};
}

function limitFigures(limits: Limits) {
	return {
		heightTolerance: lengthOf(limits.heightTolerance),
		heightStop: lengthOf(limits.heightStop),
		bindFloor: lengthOf(limits.bindFloor),
		bindAim: lengthOf(limits.bindAim),
		bindWide: lengthOf(limits.bindWide),
		sealFloor: lengthOf(limits.sealFloor),
		shimFrom: lengthOf(limits.shimFrom),
		shimsAtMost: limits.shimsAtMost,
		loadBand: limits.loadBand
	};
}

/** What was under the gauge, from a reading. */
export function inPlaceOf(reading: Reading): InPlace {
	const parts: InPlaceEntry = reading.inPlace;
	return {
		locator: lengthOf(parts.locator),
		shims: totalOf(parts.shims.map(lengthOf)),
		lockOffset: lengthOf(parts.lockOffset),
		recess: lengthOf(parts.recess),
		correction: lengthOf(reading.gauge.correction),
		retainerLanding: lengthOf(parts.retainerLanding)
	};
}

/** The bare height that a height reading stands for. */
export const bareHeightOf = (reading: Reading): Millimetres =>
	bareHeight(lengthOf(reading.read), inPlaceOf(reading));

export interface StationQuestion {
	readonly job: Job;
	readonly station: StationEntry;
	/** What stands here: the kind's parts, or the station's own. */
	readonly parts: KindSetup;
	readonly standing: Standing;
	readonly seen: Inspection | undefined;
	/** What stations with these parts have in common. */
	readonly kind: KindSheet;
	readonly shared: Shared;
}

/** Works out one station from its standing readings and what its kind has in common. */
export function stationSheet({
	job,
	station,
	parts,
	standing,
	seen,
	kind,
	shared
}: StationQuestion): StationSheet {
	const { limits } = shared;
	const build = {
		locator: lengthOf(parts.locator?.thickness ?? '0 mm'),
		lockOffset: lengthOf(station.lockOffset ?? parts.locks?.offset ?? '0 mm'),
		retainerLanding: lengthOf(parts.retainer?.landingHeight ?? '0 mm')
	};
	const shims = station.shims.map(lengthOf).toSorted((a, b) => b - a);
	const heightReading = standing['installed height'][0];
	const gapReading = standing['seal gap'][0];
	const tipReading = standing['tip height'][0];
	const lashReading = standing.lash[0];

	const bare = heightReading ? bareHeightOf(heightReading) : null;
	const unshimmed = bare === null ? null : installedHeight(bare, { ...build, shims: mm(0) });
	const height = unshimmed === null ? null : mm(unshimmed - totalOf(shims));
	const tip = tipReading ? plannedTip(tipReading, build.lockOffset, parts) : null;
	const gap = gapReading ? plannedGap(gapReading, build.lockOffset, parts) : null;

	const shim = unshimmed === null ? null : shimAdvice(shared, kind, unshimmed, shims);
	const figures = {
		height: heightVerdict(),
		seatLoad: seatLoadVerdict(),
		openLoad: openLoadVerdict(),
		bindMargin: bindVerdict(),
		sealClearance: sealVerdict(),
		tipHeight: tipVerdict(),
		lash: lashFigure()
	};
	const bareVerdict = bareHeightVerdict();
	const remarks = remarksOf([
		bareVerdict,
		figures.bindMargin,
		figures.sealClearance,
		figures.height,
		figures.seatLoad,
		figures.openLoad,
		...(figures.lash ? [figures.lash] : [])
	]).concat(disagreements(standing), seatedSeal(), staleReadings(standing), valveSeen(seen));

	return {
		label: station.label,
		head: station.head,
		cylinder: station.cylinder,
		kind: station.kind,
		shared: kind,
		state: worst([
			...Object.values(figures).flatMap((verdict) => (verdict ? [verdict.state] : [])),
			...remarks.map((remark) => remark.state)
		]),
		bareHeight: bareVerdict,
		figures,
		tipHeight: tip,
		sealGap: gap,
		stack: { locator: build.locator, shims, lockOffset: build.lockOffset },
		shim,
		energy:
			height !== null && kind.curve && kind.lift
				? storedEnergy(kind.curve, mm(height - kind.lift.worst))
				: null,
		mass: movingMass(parts),
		seen: seen ?? null,
		inForce: {
			...(heightReading && { 'installed height': heightReading }),
			...(gapReading && { 'seal gap': gapReading }),
			...(tipReading && { 'tip height': tipReading }),
			...(lashReading && { lash: lashReading })
		},
		remarks: remarks.toSorted((a, b) => byAlarm(a.state, b.state))
	};

	function bareHeightVerdict(): Verdict<Millimetres> {
		if (bare === null) return notMeasured(['height not measured']);
		const { bareMedian, bareReach } = kind;
		if (bareMedian === null || bareReach === null) {
			return {
				...notMeasured<Millimetres>(['fewer than four measured: none can stand apart yet']),
				figure: bare,
				sources: ['measured']
			};
		}
		return judge(bare, {
			sort: 'length',
			limits: around('bare height of its kind', bareMedian, bareReach, 'watch'),
			sources: ['measured'],
			remedy: () => apartRemedy(mm(bare - bareMedian), heightReading!, build.locator)
		});
	}

	function heightVerdict(): Verdict<Millimetres> {
		if (height === null) return notMeasured(['height not measured']);
		const aim = kind.target.height;
		const asItStands = parts.aim.school === 'as it stands';
		const among: Limit<Millimetres>[] =
			aim !== null
				? [
						...around('aim', aim, limits.heightTolerance, 'watch'),
						...around('aim', aim, limits.heightStop, 'stop')
					]
				: asItStands && kind.lowestHeight !== null
					? [{ name: 'lowest for bind', side: 'floor', at: kind.lowestHeight, severity: 'stop' }]
					: [];
		return judgedOr(kind.target.because, height, {
			sort: 'length',
			limits: among,
			sources: kind.target.fromCardLine ? ['measured', kind.sources.spring!] : ['measured'],
			remedy: () => shimPhrase(shim?.answer ?? null, shims)
		});
	}

	function seatLoadVerdict(): Verdict<Newtons> {
		if (height === null) return notMeasured(['height not measured']);
		if (!kind.curve) return notMeasured(['no spring card']);
		const load = kind.curve.load(height);
		if (load === null) return notMeasured(unknownThere(kind, height));
		const wanted = kind.target.height === null ? null : kind.curve.load(kind.target.height);
		const among = wanted === null ? [] : band('seat load at the aim', wanted, limits.loadBand);
		if (parts.aim.school === 'as it stands') {
			const at = loadOf(parts.aim.leastSeatLoad);
			among.push({ name: 'least seat load', side: 'floor', at, severity: 'stop' });
		}
		return judgedOr(['no seat load to judge by'], load, {
			sort: 'load',
			limits: among,
			sources: ['measured', kind.sources.spring!],
			remedy: (limit) => loadRemedy('Seat', load, wanted ?? limit.at)
		});
	}

	function openLoadVerdict(): Verdict<Newtons> {
		if (height === null) return notMeasured(['height not measured']);
		if (!kind.curve) return notMeasured(['no spring card']);
		if (!kind.lift) return notMeasured(['no lift']);
		const open = mm(height - kind.lift.net);
		const load = kind.curve.load(open);
		if (load === null) return notMeasured(unknownThere(kind, open));
		const wanted =
			kind.target.height === null ? null : kind.curve.load(mm(kind.target.height - kind.lift.net));
		const among = wanted === null ? [] : band('open load at the aim', wanted, limits.loadBand);
		if (parts.greatestOpenLoad) {
			const at = loadOf(parts.greatestOpenLoad);
			among.push({ name: 'greatest open load', side: 'ceiling', at, severity: 'watch' });
		}
		return judgedOr(['no open load to judge by'], load, {
			sort: 'load',
			limits: among,
			sources: ['measured', kind.sources.spring!, kind.sources.lift!],
			remedy: (limit) =>
				limit.name === 'greatest open load'
					? say`Open load ${ofLoad(newtons(load - limit.at))} above what the lifter stands`
					: loadRemedy('Open', load, wanted ?? limit.at)
		});
	}

	function bindVerdict(): Verdict<Millimetres> {
		if (height === null) return notMeasured(['height not measured']);
		if (!kind.bind) return notMeasured(['no bind height']);
		if (!kind.lift) return notMeasured(['no lift']);
		const margin = coilBindMargin(height, kind.lift.worst, kind.bind.height);
		const inner = kind.bind.first === 'inner' ? ' The inner binds first.' : '';
		return judge(margin, {
			sort: 'length',
			limits: [
				{ name: 'bind floor', side: 'floor', at: limits.bindFloor, severity: 'stop' },
				{ name: 'bind aim', side: 'floor', at: limits.bindAim, severity: 'watch' },
				{ name: 'wide margin', side: 'ceiling', at: limits.bindWide, severity: 'watch' }
			],
			sources: ['measured', kind.sources.spring!, kind.sources.lift!],
			uncertainty: expandedUncertainty([lengthOf(heightReading!.gauge.resolution)]),
			remedy: (limit, state) => {
				if (state === 'too close')
					return ['Bind margin too close to call: measure the height again'];
				if (limit.name === 'wide margin')
					return ['Wide bind margin: a spring far from solid is lazy'];
				const more = ofLength(mm(limit.at - margin));
				return say`Bind margin ${more} short of the ${limit.name === 'bind floor' ? 'floor' : 'aim'}: less shim or plus locks.${inner}`;
			}
		});
	}

	function sealVerdict(): Verdict<Millimetres> {
		if (gap === null) return notMeasured(['seal gap not measured']);
		if (!kind.lift) return notMeasured(['no lift']);
		const clearance = sealClearance(gap, kind.lift.worst);
		const verdict = judge(clearance, {
			sort: 'length',
			limits: [{ name: 'seal floor', side: 'floor', at: limits.sealFloor, severity: 'stop' }],
			sources: ['measured', kind.sources.lift!],
			uncertainty: expandedUncertainty([lengthOf(gapReading!.gauge.resolution)]),
			remedy: (limit, state) =>
				state === 'too close'
					? ['Seal gap too close to call: measure it again']
					: say`Retainer ${ofLength(mm(limit.at - clearance))} too near the seal: seal home? Shorter seal or plus locks`
		});
		return verdict;
	}

	function tipVerdict(): Verdict<Millimetres> | null {
		if (tip === null) return null;
		const rail = parts.rocker?.nose === 'rail';
		return judgedOr(['no rail rocker to judge it by'], tip, {
			sort: 'length',
			limits: [
				{ name: 'tip above the retainer', side: 'floor', at: mm(0), severity: 'stop' },
				...(rail
					? [
							{
								name: 'tip for a rail rocker',
								side: 'floor' as const,
								at: shared.railTip,
								severity: 'stop' as const
							}
						]
					: [])
			],
			sources: ['measured'],
			uncertainty: expandedUncertainty([lengthOf(tipReading!.gauge.resolution)]),
			remedy: (limit, state) =>
				state === 'too close'
					? ['Tip height too close to call: measure it again']
					: say`Tip ${ofLength(mm(limit.at - tip))} too low: minus locks or a lash cap`
		});
	}

	function lashFigure(): Verdict<Millimetres> | null {
		if (job.setup.lifters === 'hydraulic') return null;
		if (!lashReading) return notMeasured(['lash not set']);
		if (!parts.lash) {
			return {
				...notMeasured<Millimetres>(['no lash setting to judge by']),
				figure: lengthOf(lashReading.read),
				sources: ['measured']
			};
		}
		return lashVerdict(lengthOf(lashReading.read), lashReading.engine ?? 'cold', {
			setting: lengthOf(parts.lash.setting),
			tolerance: lengthOf(parts.lash.tolerance),
			engine: parts.lash.engine,
			source: parts.lash.source
		});
	}

	function seatedSeal(): Remark[] {
		if (!gapReading || gapReading.inPlace.sealHome !== false) return [];
		return [
			{ state: 'watch', text: ['Gap was read with the seal not home: seat it and read again'] }
		];
	}
}

/**
 * The tip height of the build, `E = E_m − (o − o_m) + cap`; a cap that was on
 * when it was measured is in the reading. Source: handbook §3.
 */
function plannedTip(reading: Reading, offset: Millimetres, parts: KindSetup): Millimetres {
	const then = reading.inPlace;
	const cap = lengthOf(parts.lashCap?.thickness ?? '0 mm') - lengthOf(then.lashCap ?? '0 mm');
	return tipHeight(mm(lengthOf(reading.read) + lengthOf(reading.gauge.correction)), {
		measuredOffset: lengthOf(then.lockOffset),
		offset,
		capThicker: mm(cap)
	});
}

/** The seal gap of the build, from the gap as measured. */
function plannedGap(reading: Reading, offset: Millimetres, parts: KindSetup): Millimetres {
	const then = reading.inPlace;
	const taller =
		then.sealHeight && parts.seal?.height
			? lengthOf(parts.seal.height) - lengthOf(then.sealHeight)
			: 0;
	return sealGap(mm(lengthOf(reading.read) + lengthOf(reading.gauge.correction)), {
		measuredOffset: lengthOf(then.lockOffset),
		offset,
		sealTaller: mm(taller),
		groundOff: lengthOf(parts.retainer?.groundOff ?? '0 mm')
	});
}

function shimAdvice(
	{ limits, stock }: Shared,
	kind: KindSheet,
	unshimmed: Millimetres,
	present: readonly Millimetres[]
): StationSheet['shim'] {
	if (kind.target.height === null) return null;
	const answer = suggestShims({
		unshimmed,
		present,
		aim: kind.target.height,
		lowest: kind.lowestHeight,
		stock: withPresent(stock, present),
		most: limits.shimsAtMost,
		deadBand: mm(Math.max(limits.shimFrom, limits.heightTolerance))
	});
	if (answer.sort !== 'fit') return { answer, outcome: null };
	return { answer, outcome: outcomeOf(kind, answer.shims, answer.height) };
}

/** The stock on the shelf and what is under the station already, which it may keep. */
function withPresent(stock: readonly ShimStock[], present: readonly Millimetres[]): ShimStock[] {
	const counts = new Map<Millimetres, number>();
	for (const { thickness, count } of stock) counts.set(thickness, count);
	for (const thickness of present) counts.set(thickness, (counts.get(thickness) ?? 0) + 1);
	return [...counts].map(([thickness, count]) => ({ thickness, count }));
}

function outcomeOf(kind: KindSheet, shims: readonly Millimetres[], height: Millimetres): Outcome {
	const { curve, lift, bind } = kind;
	return {
		shims,
		height,
		seatLoad: curve?.load(height) ?? null,
		openLoad: curve && lift ? curve.load(mm(height - lift.net)) : null,
		bindMargin: bind && lift ? coilBindMargin(height, lift.worst, bind.height) : null
	};
}

/** "Shim 0.030 + 0.015", "Take the shims out", "No shim in stock brings it closer". */
export function shimPhrase(answer: ShimAnswer | null, present: readonly Millimetres[]): Phrase {
	if (answer === null) return [];
	if (answer.sort === 'no room') return ['No shim in stock holds the bind floor'];
	if (answer.sort === 'leave') {
		return answer.why === 'nothing closer'
			? ['No shim in stock brings it closer']
			: ['Off the aim, yet inside the dead band: leave it'];
	}
	if (answer.shims.length === 0) return ['Take the shims out'];
	const stack = joined(
		answer.shims.map((shim) => [ofLength(shim)]),
		' + '
	);
	return present.length === 0 ? say`Shim ${stack}` : say`Swap the shims for ${stack}`;
}

function loadRemedy(which: 'Seat' | 'Open', load: Newtons, wanted: Newtons): Phrase {
	const apart = ofLoad(newtons(Math.abs(load - wanted)));
	return say`${which} load ${apart} ${load < wanted ? 'under' : 'over'} the ${ofLoad(wanted)} wanted`;
}

function apartRemedy(apart: Millimetres, reading: Reading, locator: Millimetres): Phrase {
	const by = ofLength(mm(Math.abs(apart)));
	const withoutLocator = lengthOf(reading.inPlace.locator) === 0 || locator === 0;
	const byTheLocator = Math.abs(Math.abs(apart) - locator) < 0.1;
	if (!withoutLocator && byTheLocator) {
		return say`${by} ${apart > 0 ? 'taller' : 'shorter'} than its kind, just the locator’s thickness: was it under the gauge?`;
	}
	return apart > 0
		? say`${by} taller than its kind: look at the seat, it may have sunk`
		: say`${by} shorter than its kind: look at valve, retainer and gauge`;
}

/** Readings of one figure that lie further apart than their gauge can explain. */
function disagreements(standing: Standing): Remark[] {
	const [newest, before] = standing['installed height'];
	if (!newest || !before) return [];
	const apart = Math.abs(bareHeightOf(newest) - bareHeightOf(before));
	const explained =
		3 * Math.max(lengthOf(newest.gauge.resolution), lengthOf(before.gauge.resolution));
	if (apart <= explained) return [];
	const who = newest.person === before.person ? 'Read twice' : 'Read by two people';
	return [
		{ state: 'watch', text: say`${who}, ${ofLength(mm(apart))} apart: strike one or read again` }
	];
}

const READ_AS: Readonly<Record<Quantity, string>> = {
	'installed height': 'Height',
	'seal gap': 'Seal gap',
	'tip height': 'Tip height',
	lash: 'Lash'
};

function staleReadings(standing: Standing): Remark[] {
	return [...standing.stale].map(([quantity, work]) => ({
		state: 'not measured',
		text: [`${READ_AS[quantity]} was read before the ${work}: measure again`]
	}));
}

function valveSeen(seen: Inspection | undefined): Remark[] {
	return (seen ? seenOn(seen) : []).map(({ state, text }) => ({ state, text: [text] }));
}

function remarksOf(verdicts: readonly Verdict[]): Remark[] {
	return verdicts
		.filter((verdict) => verdict.state !== 'clear' && verdict.state !== 'not measured')
		.filter((verdict) => verdict.remedy.length > 0)
		.map((verdict) => ({ state: verdict.state, text: verdict.remedy }));
}

/** A verdict, or "not measured" with the reason where there is no limit to judge a figure by. */
function judgedOr<Q extends Millimetres | Newtons>(
	missing: Phrase,
	figure: Q,
	how: Parameters<typeof judge<Q>>[1]
): Verdict<Q> {
	if (how.limits.length > 0) return judge(figure, how);
	return { ...notMeasured<Q>(missing), figure, sources: how.sources };
}

function around(
	name: string,
	middle: Millimetres,
	reach: Millimetres,
	severity: Limit['severity']
): Limit<Millimetres>[] {
	return [
		{ name, side: 'floor', at: mm(middle - reach), severity },
		{ name, side: 'ceiling', at: mm(middle + reach), severity }
	];
}

function band(name: string, load: Newtons, part: number): Limit<Newtons>[] {
	return [
		{ name, side: 'floor', at: newtons(load * (1 - part)), severity: 'watch' },
		{ name, side: 'ceiling', at: newtons(load * (1 + part)), severity: 'watch' }
	];
}

function unknownThere(kind: KindSheet, height: Millimetres): Phrase {
	if (kind.curve?.from === 'tested') return say`Spring not tested at ${ofLength(height)}`;
	return height < (kind.curve?.lowest ?? 0)
		? say`Spring is solid before ${ofLength(height)}`
		: say`${ofLength(height)} is above the spring’s free height`;
}

const totalOf = (lengths: readonly number[]) =>
	mm(lengths.reduce((sum, length) => sum + length, 0));
