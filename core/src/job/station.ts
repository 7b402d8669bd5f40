/** One station of the sheet: its figures, their verdicts, and what to do about them. */
import {
	lengthOf,
	loadOf,
	mm,
	newtons,
	type Millimetres,
	type Newtons
} from '../units/quantity.ts';
import { ofLength, ofLoad, say, type Phrase } from '../units/phrase.ts';
import { installedHeight } from '../station/stack.ts';
import { coilBindMargin, sealClearance } from '../clearance/clearance.ts';
import { storedEnergy } from '../spring/curve.ts';
import { builtVerdict } from '../built/built.ts';
import { pistonVerdict, type StationChecks } from '../check/check.ts';
import { driftRemarks, lashDrift } from '../lash/drift.ts';
import { lashVerdict } from '../lash/lash.ts';
import type { Lift } from '../lift/lift.ts';
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
import {
	bareHeightOf,
	lengthRead,
	plannedGap,
	plannedGapAtLift,
	plannedRocker,
	plannedTip
} from './planned.ts';
import { QUANTITIES, ROCKER_GAPS } from './quantities.ts';
import type { Inspection, Job, KindSetup, StationEntry } from './schema.ts';
import type { Shared } from './shared.ts';
import type { KindSheet, Remark, StationSheet } from './sheet.ts';
import { shimAdvice, shimPhrase } from './shim-advice.ts';
import {
	apartRemedy,
	checkRemarks,
	disagreements,
	headLoadRemarks,
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
	shared
}: StationQuestion): StationSheet {
	const { limits } = shared;
	const build = {
		locator: lengthOf(parts.locator?.thickness ?? '0 mm'),
		lockOffset: lengthOf(station.lockOffset ?? parts.locks?.offset ?? '0 mm'),
		retainerLanding: lengthOf(parts.retainer?.landingHeight ?? '0 mm')
	};
	const shims = station.shims.map(lengthOf).toSorted((a, b) => b - a);
	const offset = build.lockOffset;
	const heightTaken = taken(standing['installed height'], bareHeightOf);
	const gapTaken = taken(standing['seal gap'], (reading) => plannedGap(reading, offset, parts));
	const atLift = taken(standing['seal gap at lift'], (reading) =>
		plannedGapAtLift(reading, offset, parts)
	);
	const tipTaken = taken(standing['tip height'], (reading) => plannedTip(reading, offset, parts));
	const rocker = leastRocker();
	const headLoad = taken(standing['seat load'], (reading) => newtons(trueFigure(reading)));
	const lashTaken = taken(standing.lash, lengthRead);
	const builtTaken = taken(standing['built height'], lengthRead);
	const drift = lashDrift(standing.lash);
	const preloadTaken = taken(standing.preload, lengthRead);
	const netLift = kind.lift && mm(kind.lift.gross - lashAtLift(kind.lift));

	const bare = heightTaken?.value ?? null;
	const unshimmed = bare === null ? null : installedHeight(bare, { ...build, shims: mm(0) });
	const height = unshimmed === null ? null : mm(unshimmed - totalOf(shims));
	const tip = tipTaken?.value ?? null;
	const gap = gapTaken?.value ?? null;

	const shim = unshimmed === null ? null : shimAdvice(shared, kind, unshimmed, shims);
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
		...(built ? [built] : []),
		...(piston ? [piston] : []),
		...(preload ? [preload] : [])
	]).concat(
		driftRemarks(drift, limits.lash),
		checkRemarks(checks),
		disagreements(standing),
		seatedSeal(),
		headLoadRemarks(headLoad?.value ?? null, figures.seatLoad.figure, limits.loadBand),
		staleReadings(standing),
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
			...(built ? [built.state] : []),
			...(piston ? [piston.state] : []),
			...(preload ? [preload.state] : []),
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
		headLoad: headLoad?.value ?? null,
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
		const open = mm(height - netLift!);
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
			uncertainty: heightTaken!.uncertainty,
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
		// Read at full lift it is the clearance itself; from the closed gap the lift is taken off.
		const known = atLift ?? gapTaken;
		if (!known) return notMeasured(['seal gap not measured']);
		if (!kind.lift && !atLift) return notMeasured(['no lift']);
		const clearance = atLift ? atLift.value : sealClearance(known.value, kind.lift!.worst);
		return judge(clearance, {
			sort: 'length',
			limits: [{ name: 'seal floor', side: 'floor', at: limits.sealFloor, severity: 'stop' }],
			sources: atLift ? ['measured'] : ['measured', kind.sources.lift!],
			uncertainty: known.uncertainty,
			remedy: (limit, state) =>
				state === 'too close'
					? ['Seal gap too close to call: measure it again']
					: say`Retainer ${ofLength(mm(limit.at - clearance))} too near the seal: seal home? Shorter seal or plus locks`
		});
	}

	function leastRocker(): Taken | null {
		return ROCKER_GAPS.map((quantity) =>
			taken(standing[quantity], (reading) => plannedRocker(reading, offset, parts))
		).reduce((least, one) => (one && (!least || one.value < least.value) ? one : least), null);
	}

	function rockerVerdict(): Verdict<Millimetres> | null {
		if (!rocker) return null;
		return judge(rocker.value, {
			sort: 'length',
			limits: [{ name: 'rocker floor', side: 'floor', at: limits.rockerFloor, severity: 'stop' }],
			sources: ['measured'],
			uncertainty: rocker.uncertainty,
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
		return lashVerdict(lashTaken.value, lashTaken.newest.engine ?? 'cold', {
			setting: lengthOf(parts.lash.setting),
			tolerance: lengthOf(parts.lash.tolerance),
			engine: parts.lash.engine,
			source: parts.lash.source
		});
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
		const pumpUp = kind.lift ? mm(kind.lift.worst - kind.lift.gross) : mm(0);
		return pistonVerdict(checks.piston, pumpUp, limits.pistonFloors[station.kind]);
	}

	function seatedSeal(): Remark[] {
		if (gapTaken?.newest.inPlace.sealHome !== false) return [];
		return [
			{ state: 'watch', text: ['Gap was read with the seal not home: seat it and read again'] }
		];
	}
}

function loadRemedy(which: 'Seat' | 'Open', load: Newtons, wanted: Newtons): Phrase {
	const apart = ofLoad(newtons(Math.abs(load - wanted)));
	return say`${which} load ${apart} ${load < wanted ? 'under' : 'over'} the ${ofLoad(wanted)} wanted`;
}

const inForceOf = (standing: Standing): StationSheet['inForce'] =>
	Object.fromEntries(
		QUANTITIES.flatMap((quantity) => {
			const [newest] = standing[quantity];
			return newest ? [[quantity, newest]] : [];
		})
	);

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
