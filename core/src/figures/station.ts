/** One station of the sheet: its figures, their verdicts, and what to do about them. */
import { mm } from '../units/quantity.ts';
import { storedEnergy } from '../spring/curve.ts';
import { pistonVerdict } from '../build-checks/check.ts';
import { byAlarm, worst, type Verdict } from '../verdict/verdict.ts';
import type { CurrentReadings } from '../document/current-readings.ts';
import { QUANTITIES } from '../document/quantities.ts';
import { movingMass } from '../mass/mass.ts';
import { bindMargin } from './bind-margin.ts';
import { asBuiltHeight, bareHeight, insideDeadBand, installedHeight } from './installed-height.ts';
import { lash, preload } from './lash-and-preload.ts';
import { driftRemarks, lashDrift } from './lash-drift.ts';
import { stationRead, type StationQuestion, type StationRead } from './read.ts';
import { rockerClearance, tipHeight } from './rocker-and-tip.ts';
import { groundBeforeOrAfter, sealClearance, seatedSeal } from './seal-clearance.ts';
import type { Remark, StationSheet } from './sheet.ts';
import { shimAdvice, shimRoomOf } from './shim-advice.ts';
import { beyondTested, loadLoss, openLoad, seatLoad } from './spring-loads.ts';
import {
	checkRemarks,
	disagreements,
	headLoadRemarks,
	orderQuestions,
	staleChecks,
	staleReadings,
	valveSeen
} from './station-remarks.ts';

/** Works out one station from its standing readings and what its kind has in common. */
export function stationSheet(question: StationQuestion): StationSheet {
	const at = stationRead(question);
	const { station, kind, parts, checks, seen, standing, height, read } = at;
	const shim = shimOf(at);
	const figures: StationSheet['figures'] = {
		height: installedHeight(at, shim),
		seatLoad: seatLoad(at),
		openLoad: openLoad(at),
		bindMargin: bindMargin(at),
		sealClearance: sealClearance(at),
		tipHeight: tipHeight(at),
		rocker: rockerClearance(at),
		lash: lash(at)
	};
	const beside: Beside = {
		bare: bareHeight(at),
		loss: loadLoss(at),
		built: asBuiltHeight(at),
		piston:
			checks.piston &&
			pistonVerdict(checks.piston, at.pumpUp, at.shared.limits.pistonFloors[station.kind]),
		preload: preload(at)
	};
	const remarks = remarksOf(at, figures, beside);
	const { bare, loss, built, piston, preload: plunger } = beside;
	return {
		label: station.label,
		head: station.head,
		cylinder: station.cylinder,
		kind: station.kind,
		shared: kind,
		state: worst([
			...[...Object.values(figures), loss, built, piston, plunger].flatMap((verdict) =>
				verdict ? [verdict.state] : []
			),
			...remarks.map((remark) => remark.state)
		]),
		bareHeight: bare,
		figures,
		tipHeight: read.tip?.value ?? null,
		sealGap: read.gap?.value ?? null,
		rockerGaps: read.rockers.map((one) => one?.value ?? null),
		stack: at.build,
		shim,
		energy:
			height !== null && kind.curve && kind.lift
				? storedEnergy(kind.curve, mm(height - kind.lift.worst))
				: null,
		mass: movingMass(parts),
		seen: seen ?? null,
		headLoad: read.headLoad?.value ?? null,
		loss,
		built,
		piston,
		checks,
		preload: plunger,
		lashDrift: lashDrift(standing.lash),
		uncertainty: read.height?.uncertainty ?? null,
		inForce: inForceOf(standing),
		remarks: remarks.toSorted((a, b) => byAlarm(a.state, b.state))
	};
}

/** Verdicts of a station that are no columns of the sheet. */
interface Beside extends Pick<StationSheet, 'loss' | 'built' | 'piston' | 'preload'> {
	readonly bare: StationSheet['bareHeight'];
}

/** The shims suggested for the station; null where nothing is advised yet. */
function shimOf({ unshimmed, isAsked, shared, kind, build, parts }: StationRead) {
	if (unshimmed === null || isAsked) return null;
	return shimAdvice(shared, kind, unshimmed, build.shims, shimRoomOf(parts));
}

/** All that is to be said here, in the order in which it is looked at. */
function remarksOf(
	at: StationRead,
	{ height, seatLoad, openLoad, bindMargin, sealClearance, rocker, lash }: StationSheet['figures'],
	{ bare, loss, built, piston, preload }: Beside
): Remark[] {
	const { checks, standing, seen, read, shared } = at;
	const told = [bare, bindMargin, sealClearance, height, seatLoad, openLoad, rocker, lash];
	return [
		...[...told, loss, built, piston, preload].flatMap(remarkOf),
		...driftRemarks(lashDrift(standing.lash), shared.limits.lash),
		...checkRemarks(checks),
		...disagreements(standing),
		...insideDeadBand(at, height),
		...seatedSeal(at),
		...groundBeforeOrAfter(at),
		...beyondTested(at),
		...headLoadRemarks(read.headLoad?.value ?? null, seatLoad.figure, shared.limits.loadBand),
		...orderQuestions(standing),
		...staleReadings(standing),
		...staleChecks(checks, seen, standing.works),
		...valveSeen(seen)
	];
}

/** What a verdict asks for, where it asks for anything. */
function remarkOf(verdict: Verdict | null): Remark[] {
	if (!verdict || verdict.state === 'clear' || verdict.state === 'not measured') return [];
	return verdict.remedy.length > 0 ? [{ state: verdict.state, text: verdict.remedy }] : [];
}

function inForceOf(standing: CurrentReadings): StationSheet['inForce'] {
	const inForce: StationSheet['inForce'] = {};
	for (const quantity of QUANTITIES) {
		const [newest] = standing[quantity];
		if (newest) inForce[quantity] = newest;
	}
	return inForce;
}
