/** One station of the sheet: its figures, their verdicts, and what to do about them. */
import {
	lengthOf,
	loadOf,
	mm,
	newtons,
	toComparisonStep,
	type Millimetres,
	type Newtons
} from '../units/quantity.ts';
import { ofLength, ofLoad, say, type Phrase } from '../units/phrase.ts';
import { installedHeight } from '../station/stack.ts';
import { coilBindMargin, sealClearance } from '../clearance/clearance.ts';
import { isBeyondTested, storedEnergy } from '../spring/curve.ts';
import { builtVerdict } from '../built/built.ts';
import { pistonVerdict, type StationChecks } from '../check/check.ts';
import { driftRemarks, lashDrift } from '../lash/drift.ts';
import { lashVerdict } from '../lash/lash.ts';
import { pumpUpOf, type Lift } from '../lift/lift.ts';
import { combinedUncertainty } from '../verdict/uncertainty.ts';
import {
	judge,
	notMeasured,
	byAlarm,
	worst,
	type Limit,
	type Source,
	type Verdict
} from '../verdict/verdict.ts';
import type { Standing } from './in-force.ts';
import { movingMass } from '../mass/mass.ts';
import { lengthRead, plannedGap, plannedGapAtLift, plannedRocker, plannedTip } from './planned.ts';
import { QUANTITIES, ROCKER_GAPS } from './quantities.ts';
import type { Inspection, Job, KindSetup, StationEntry } from './schema.ts';
import type { Shared } from './shared.ts';
import type { KindSheet, Remark, StationSheet } from './sheet.ts';
import { shimAdvice, shimPhrase, shimRoomOf } from './shim-advice.ts';
import {
	apartRemedy,
	checkRemarks,
	disagreements,
	headLoadRemarks,
	orderQuestions,
	staleChecks,
	staleReadings,
	valveSeen
} from './station-remarks.ts';
import { taken, trueFigure, type Taken } from './taken.ts';

export interface StationQuestion {
	readonly job: Job;
	readonly station: StationEntry;
	/** What stands here: the kind's parts, or the station's own. */
	readonly parts: KindSetup;
	readonly standing: Standing;
	readonly seen: Inspection | undefined;
	readonly checks: StationChecks;
	/** What stations with these parts have in common. */
	readonly kind: KindSheet;
	readonly shared: Shared;
	/** Its bare height, as read. */
	readonly height: Taken | null;
	/** Whether it is open if a part was forgotten on this whole head: nothing is advised until somebody says. */
	readonly isAsked: boolean;
}

/** Works out one station from its standing readings and what its kind has in common. */
export function stationSheet({
	job,
	station,
	parts,
	standing,
	seen,
	checks,
	kind,
	shared,
	isAsked,
	height: heightTaken
}: StationQuestion): StationSheet {
	const { limits, repeats } = shared;
	const build = {
		locator: lengthOf(parts.locator?.thickness ?? '0 mm'),
		lockOffset: lengthOf(station.lockOffset ?? parts.locks?.offset ?? '0 mm'),
		retainerLanding: lengthOf(parts.retainer?.landingHeight ?? '0 mm')
	};
	const shims = station.shims.map(lengthOf).toSorted((a, b) => b - a);
	const offset = build.lockOffset;
	const pumpUp = kind.lift ? pumpUpOf(kind.lift) : mm(0);
	const gapTaken = taken(
		standing['seal gap'],
		(reading) => plannedGap(reading, offset, parts),
		repeats
	);
	const atLift = taken(
		standing['seal gap at lift'],
		(reading) => plannedGapAtLift(reading, offset, parts, pumpUp),
		repeats
	);
	const tipTaken = taken(
		standing['tip height'],
		(reading) => plannedTip(reading, offset, parts),
		repeats
	);
	const rockers = ROCKER_GAPS.map((quantity) =>
		taken(standing[quantity], (reading) => plannedRocker(reading, offset, parts), repeats)
	);
	const rocker = rockers.reduce<Taken | null>(
		(least, one) => (one && (!least || one.value < least.value) ? one : least),
		null
	);
	const headLoad = taken(standing['seat load'], (reading) => newtons(trueFigure(reading)), repeats);
	const lashTaken = taken(standing.lash, lengthRead, repeats);
	const builtTaken = taken(standing['built height'], lengthRead, repeats);
	const drift = lashDrift(standing.lash);
	const preloadTaken = taken(standing.preload, lengthRead, repeats);
	const netLift = kind.lift && mm(kind.lift.gross - lashAtLift(kind.lift));

	const bare = heightTaken?.value ?? null;
	const unshimmed = bare === null ? null : installedHeight(bare, { ...build, shims: mm(0) });
	const height = unshimmed === null ? null : mm(unshimmed - totalOf(shims));
	const tip = tipTaken?.value ?? null;
	const gap = gapTaken?.value ?? null;

	const shim =
		unshimmed === null || isAsked
			? null
			: shimAdvice(shared, kind, unshimmed, shims, shimRoomOf(parts));
	const figures = {
		height: heightVerdict(),
		seatLoad: seatLoadVerdict(),
		openLoad: openLoadVerdict(),
		bindMargin: bindVerdict(),
		sealClearance: sealVerdict(),
		tipHeight: tipVerdict(),
		rocker: rockerVerdict(),
		lash: lashFigure()
	};
	const bareVerdict = bareHeightVerdict();
	const loss = lossVerdict();
	const built = asBuilt();
	const piston = pistonRoom();
	const preload = preloadVerdict();
	const remarks = remarksOf([
		bareVerdict,
		figures.bindMargin,
		figures.sealClearance,
		figures.height,
		figures.seatLoad,
		figures.openLoad,
		...(figures.rocker ? [figures.rocker] : []),
		...(figures.lash ? [figures.lash] : []),
		...(loss ? [loss] : []),
		...(built ? [built] : []),
		...(piston ? [piston] : []),
		...(preload ? [preload] : [])
	]).concat(
		driftRemarks(drift, limits.lash),
		checkRemarks(checks),
		disagreements(standing),
		insideDeadBand(),
		seatedSeal(),
		groundBeforeOrAfter(),
		beyondTestedRemarks(),
		headLoadRemarks(headLoad?.value ?? null, figures.seatLoad.figure, limits.loadBand),
		orderQuestions(standing),
		staleReadings(standing),
		staleChecks(checks, seen, standing.works),
		valveSeen(seen)
	);

	return {
		label: station.label,
		head: station.head,
		cylinder: station.cylinder,
		kind: station.kind,
		shared: kind,
		state: worst([
			...Object.values(figures).flatMap((verdict) => (verdict ? [verdict.state] : [])),
			...(loss ? [loss.state] : []),
			...(built ? [built.state] : []),
			...(piston ? [piston.state] : []),
			...(preload ? [preload.state] : []),
			...remarks.map((remark) => remark.state)
		]),
		bareHeight: bareVerdict,
		figures,
		tipHeight: tip,
		sealGap: gap,
		rockerGaps: rockers.map((one) => one?.value ?? null),
		stack: { locator: build.locator, shims, lockOffset: build.lockOffset },
		shim,
		energy:
			height !== null && kind.curve && kind.lift
				? storedEnergy(kind.curve, mm(height - kind.lift.worst))
				: null,
		mass: movingMass(parts),
		seen: seen ?? null,
		headLoad: headLoad?.value ?? null,
		loss,
		built,
		piston,
		checks,
		preload,
		lashDrift: drift,
		uncertainty: heightTaken?.uncertainty ?? null,
		inForce: inForceOf(standing),
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
			resolution: resolutionOf(heightTaken!),
			remedy: () => apartRemedy(mm(bare - bareMedian), heightTaken!.newest, build.locator)
		});
	}

	function heightVerdict(): Verdict<Millimetres> {
		if (height === null) return notMeasured(['height not measured']);
		const aim = kind.target.height;
		const asItStands = parts.aim.school === 'as it stands';
		const among: Limit<Millimetres>[] =
			aim !== null
				? [
						...around('aim', aim, limits.deadBand, 'watch'),
						...around('aim', aim, limits.heightStop, 'stop')
					]
				: asItStands && kind.lowestHeight !== null
					? [{ name: 'lowest for bind', side: 'floor', at: kind.lowestHeight, severity: 'stop' }]
					: [];
		return judgedOr(kind.target.because, height, {
			sort: 'length',
			limits: among,
			sources: ['measured', ...kind.sources.target],
			uncertainty: heightTaken!.uncertainty,
			resolution: resolutionOf(heightTaken!),
			remedy: (_, state) => {
				if (isAsked) return ['Answer first what stood under the gauge on this head'];
				if (state === 'too close') return ['Height too close to call: measure it again'];
				return shimPhrase(shim?.answer ?? null, shims);
			}
		});
	}

	function seatLoadVerdict(): Verdict<Newtons> {
		if (height === null) return notMeasured(['height not measured']);
		if (!kind.curve) return notMeasured(['no spring card']);
		const load = kind.curve.load(height);
		if (load === null) return notMeasured(unknownThere(kind, height));
		const wanted = wantedLoad('seat load', kind.target.height);
		const among = wanted === null ? [] : band('seat load at the aim', wanted, limits.loadBand);
		if (parts.aim.school === 'as it stands') {
			const at = loadOf(parts.aim.leastSeatLoad);
			among.push({ name: 'least seat load', side: 'floor', at, severity: 'stop' });
		}
		return judgedOr(['no seat load to judge by'], load, {
			sort: 'load',
			limits: among,
			sources: ['measured', ...loadSources('seat load', height)],
			uncertainty: (kind.rate ?? 0) * heightTaken!.uncertainty,
			remedy: (limit, state) =>
				state === 'too close'
					? ['Seat load too close to call: measure the height again']
					: loadRemedy('Seat', load, wanted ?? limit.at)
		});
	}

	/** The load that was asked for, else what the card or the set promises at the aim (handbook §5). */
	function wantedLoad(which: 'seat load' | 'open load', at: Millimetres | null): Newtons | null {
		if (parts.aim.school === which) return loadOf(parts.aim.load);
		return at === null ? null : (kind.promised?.load(at) ?? null);
	}

	/** All that a load and what it is held against stand on. */
	function loadSources(which: 'seat load' | 'open load', at: Millimetres): Source[] {
		const { spring, card, target } = kind.sources;
		const own = kind.curve && isBeyondTested(kind.curve, at) ? [spring, card] : [spring];
		const against =
			parts.aim.school === which || kind.target.height === null ? [] : [card, ...target];
		return [...new Set([...own, ...against].filter((source) => source !== null))];
	}

	/** What a tested spring has lost against its card at one height, whatever height is aimed for. */
	function lossVerdict(): Verdict<Newtons> | null {
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

	function openLoadVerdict(): Verdict<Newtons> {
		if (height === null) return notMeasured(['height not measured']);
		if (!kind.curve) return notMeasured(['no spring card']);
		if (!kind.lift) return notMeasured(['no lift']);
		const open = mm(height - netLift!);
		const load = kind.curve.load(open);
		if (load === null) return notMeasured(unknownThere(kind, open));
		const aimed = kind.target.height === null ? null : mm(kind.target.height - kind.lift.net);
		const wanted = wantedLoad('open load', aimed);
		const among = wanted === null ? [] : band('open load at the aim', wanted, limits.loadBand);
		if (parts.greatestOpenLoad) {
			const at = loadOf(parts.greatestOpenLoad);
			among.push({ name: 'greatest open load', side: 'ceiling', at, severity: 'watch' });
		}
		return judgedOr(['no open load to judge by'], load, {
			sort: 'load',
			limits: among,
			sources: ['measured', ...loadSources('open load', open), kind.sources.lift!],
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
		const { first, uncertainty } = kind.bind;
		const inner = first && first !== 'outer' ? ` The ${first} binds first.` : '';
		const isBindUnsure = uncertainty > heightTaken!.uncertainty;
		return judge(margin, {
			sort: 'length',
			limits: [
				{ name: 'bind floor', side: 'floor', at: limits.bindFloor, severity: 'stop' },
				{ name: 'bind aim', side: 'floor', at: limits.bindAim, severity: 'watch' },
				{ name: 'wide margin', side: 'ceiling', at: limits.bindWide, severity: 'watch' }
			],
			sources: ['measured', ...kind.sources.bind, kind.sources.lift!],
			uncertainty: combinedUncertainty(
				heightTaken!.uncertainty,
				uncertainty,
				kind.lift.uncertainty ?? 0
			),
			resolution: resolutionOf(heightTaken!),
			remedy: (limit, state) => {
				if (state === 'too close')
					return [
						`Bind margin too close to call: ${isBindUnsure ? 'test the bind' : 'measure the height'} again`
					];
				if (limit.name === 'wide margin')
					return ['Wide bind margin: a spring far from solid is lazy'];
				const more = ofLength(mm(limit.at - margin));
				return say`Bind margin ${more} short of the ${limit.name === 'bind floor' ? 'floor' : 'aim'}: less shim or plus locks.${inner}`;
			}
		});
	}

	function sealVerdict(): Verdict<Millimetres> {
		// Read at full lift it is the clearance itself; from the closed gap the lift is taken off.
		const known = atLift ?? gapTaken;
		if (!known) return notMeasured(['seal gap not measured']);
		const mayPumpUp = job.setup.lifters === 'hydraulic' && parts.preload !== undefined;
		if (!kind.lift && (!atLift || mayPumpUp)) return notMeasured(['no lift']);
		const clearance = atLift ? atLift.value : sealClearance(known.value, kind.lift!.worst);
		return judge(clearance, {
			sort: 'length',
			limits: [{ name: 'seal floor', side: 'floor', at: limits.sealFloor, severity: 'stop' }],
			sources: atLift && pumpUp === 0 ? ['measured'] : ['measured', kind.sources.lift!],
			uncertainty: atLift
				? known.uncertainty
				: combinedUncertainty(known.uncertainty, kind.lift!.uncertainty ?? 0),
			resolution: resolutionOf(known),
			remedy: (limit, state) =>
				state === 'too close'
					? ['Seal gap too close to call: measure it again']
					: say`Retainer ${ofLength(mm(limit.at - clearance))} too near the seal: seal home? Shorter seal or plus locks`
		});
	}

	function rockerVerdict(): Verdict<Millimetres> | null {
		if (!rocker) return null;
		return judge(rocker.value, {
			sort: 'length',
			limits: [{ name: 'rocker floor', side: 'floor', at: limits.rockerFloor, severity: 'stop' }],
			sources: ['measured'],
			uncertainty: rocker.uncertainty,
			resolution: resolutionOf(rocker),
			remedy: (limit, state) =>
				state === 'too close'
					? ['Rocker clearance too close to call: measure it again']
					: say`Rocker ${ofLength(mm(limit.at - rocker.value))} too near the retainer: minus locks or a lash cap`
		});
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
			uncertainty: tipTaken!.uncertainty,
			resolution: resolutionOf(tipTaken!),
			remedy: (limit, state) =>
				state === 'too close'
					? ['Tip height too close to call: measure it again']
					: say`Tip ${ofLength(mm(limit.at - tip))} too low: minus locks or a lash cap`
		});
	}

	function lashFigure(): Verdict<Millimetres> | null {
		if (job.setup.lifters === 'hydraulic') return null;
		if (!lashTaken) return notMeasured(['lash not set']);
		if (!parts.lash) {
			return {
				...notMeasured<Millimetres>(['no lash setting to judge by']),
				figure: lashTaken.value,
				sources: ['measured']
			};
		}
		return lashVerdict(
			lashTaken.value,
			lashTaken.newest.engine ?? 'cold',
			{
				setting: lengthOf(parts.lash.setting),
				tolerance: lengthOf(parts.lash.tolerance),
				engine: parts.lash.engine,
				source: parts.lash.source
			},
			lashTaken.uncertainty
		);
	}

	/** What lash takes off the lift: the one measured, in the state it is set in, else the setting. */
	function lashAtLift(lift: Lift): Millimetres {
		const asSet = mm(lift.gross - lift.net);
		if (job.setup.lifters === 'hydraulic' || !lashTaken) return asSet;
		const isComparable = (lashTaken.newest.engine ?? 'cold') === (parts.lash?.engine ?? 'cold');
		return isComparable ? lashTaken.value : asSet;
	}

	function preloadVerdict(): Verdict<Millimetres> | null {
		if (job.setup.lifters === 'solid' || !preloadTaken) return null;
		const wanted = parts.preload ? lengthOf(parts.preload) : null;
		return judgedOr(['no preload to judge by'], preloadTaken.value, {
			sort: 'length',
			limits:
				wanted === null ? [] : around('wanted preload', wanted, limits.preloadWithin, 'watch'),
			sources: ['measured'],
			uncertainty: preloadTaken.uncertainty,
			resolution: resolutionOf(preloadTaken),
			remedy: () =>
				say`Preload ${ofLength(preloadTaken.value)}: set ${ofLength(wanted!)} from zero lash`
		});
	}

	function asBuilt(): Verdict<Millimetres> | null {
		if (!builtTaken || height === null) return null;
		return builtVerdict(
			builtTaken.value,
			{ height, shims, locator: build.locator, lockOffset: offset },
			limits.heightTolerance,
			builtTaken.uncertainty
		);
	}

	function pistonRoom(): Verdict<Millimetres> | null {
		if (!checks.piston) return null;
		return pistonVerdict(checks.piston, pumpUp, limits.pistonFloors[station.kind]);
	}

	/** Off the aim, yet no further than is worth a shim: a note. */
	function insideDeadBand(): Remark[] {
		const aim = kind.target.height;
		if (height === null || aim === null || figures.height.state !== 'clear') return [];
		const off = mm(Math.abs(height - aim));
		if (toComparisonStep(off - limits.heightTolerance, 'length') <= 0) return [];
		return [
			{ state: 'clear', text: say`${ofLength(off)} off the aim, inside the dead band: leave it` }
		];
	}

	function beyondTestedRemarks(): Remark[] {
		const { curve, lift } = kind;
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

	/** A gap whose reading does not say how its retainer was ground counts as read with it ground. */
	function groundBeforeOrAfter(): Remark[] {
		const known = atLift ?? gapTaken;
		if (!known || known.newest.inPlace.groundOff !== undefined) return [];
		if (lengthOf(parts.retainer?.groundOff ?? '0 mm') === 0) return [];
		return [
			{
				state: 'watch',
				text: [
					'Retainer is ground, and the gap’s reading does not say if it was then: read it again'
				]
			}
		];
	}

	function seatedSeal(): Remark[] {
		if (gapTaken?.newest.inPlace.sealHome !== false) return [];
		return [
			{ state: 'watch', text: ['Gap was read with the seal not home: seat it and read again'] }
		];
	}
}

const resolutionOf = ({ newest }: Taken) => lengthOf(newest.gauge.resolution);

const percent = (part: number) => `${(100 * part).toFixed(0)} %`;

function loadRemedy(which: 'Seat' | 'Open', load: Newtons, wanted: Newtons): Phrase {
	const apart = ofLoad(newtons(Math.abs(load - wanted)));
	return say`${which} load ${apart} ${load < wanted ? 'under' : 'over'} the ${ofLoad(wanted)} wanted`;
}

function inForceOf(standing: Standing): StationSheet['inForce'] {
	const inForce: StationSheet['inForce'] = {};
	for (const quantity of QUANTITIES) {
		const [newest] = standing[quantity];
		if (newest) inForce[quantity] = newest;
	}
	return inForce;
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
