/** One station of the sheet: its figures, their verdicts, and what to do about them. */
import { mm } from '../../foundation/units/index.ts';
import { storedEnergy } from '../../springs/spring/index.ts';
import { byAlarm, worst, type Verdict } from '../../foundation/verdict/index.ts';
import { QUANTITIES, type CurrentReadings } from '../../job/document/index.ts';
import { movingMass } from '../mass/index.ts';
import { keyOf } from '../../foundation/message/index.ts';
import { insideDeadBand } from './installed-height.ts';
import { driftRemarks, lashDrift } from './lash-drift.ts';
import { stationRead, type StationQuestion, type StationRead } from './read.ts';
import { FIGURE_NAMES, FIGURES, TELLING_ORDER, type Figures } from './registry.ts';
import type { Remark } from './remark.ts';
import { groundBeforeOrAfter, seatedSeal } from './seal-clearance.ts';
import type { StationSheet } from './sheet.ts';
import { beyondTested } from './spring-loads.ts';
import {
	checkRemarks,
	disagreements,
	orderQuestions,
	staleChecks,
	staleReadings,
	inspectionRemarks
} from './station-remarks.ts';

/** Works out one station from its standing readings and what its kind has in common. */
export function stationSheet(question: StationQuestion): StationSheet {
	const at = stationRead(question);
	const { station, kind, parts, checks, seen, current, height, read } = at;
	const figures = figuresOf(at);
	const remarks = remarksOf(at, figures);
	return {
		label: station.label,
		head: station.head,
		cylinder: station.cylinder,
		kind: station.kind,
		shared: kind,
		state: worst([
			...FIGURE_NAMES.flatMap((name) => (name === 'bare' ? [] : (figures[name]?.state ?? []))),
			...remarks.map((remark) => remark.state)
		]),
		figures,
		tipHeight: read.tip?.value ?? null,
		sealGap: read.gap?.value ?? null,
		rockerGaps: read.rockers.map((one) => one?.value ?? null),
		stack: at.build,
		shim: at.shim,
		energy:
			height !== null && kind.curve && kind.lift
				? storedEnergy(kind.curve, mm(height - kind.lift.worst))
				: null,
		mass: movingMass(parts),
		seen: seen ?? null,
		checks,
		lashDrift: lashDrift(current.lash),
		uncertainty: read.height?.uncertainty ?? null,
		inForce: inForceOf(current),
		remarks: remarks.toSorted((a, b) => byAlarm(a.state, b.state))
	};
}

/** Every figure of the registry at one station. */
function figuresOf(at: StationRead): Figures {
	const figures: Record<string, Verdict | null> = {};
	for (const name of FIGURE_NAMES) figures[name] = FIGURES[name].verdict(at);
	return figures as unknown as Figures;
}

/** All that is to be said here, in the order in which it is looked at. */
function remarksOf(at: StationRead, figures: Figures): Remark[] {
	const { checks, current, seen, shared } = at;
	return [
		...toldOnce(TELLING_ORDER.flatMap((name) => remarkOf(figures[name]))),
		...driftRemarks(lashDrift(current.lash), shared.limits.lash),
		...checkRemarks(checks),
		...disagreements(current),
		...insideDeadBand(at, figures.height),
		...seatedSeal(at),
		...groundBeforeOrAfter(at),
		...beyondTested(at),
		...orderQuestions(current),
		...staleReadings(current),
		...staleChecks(checks, seen, current.works),
		...inspectionRemarks(seen)
	];
}

/** One word that several figures stand on is told once. */
const toldOnce = (remarks: readonly Remark[]): Remark[] =>
	remarks.filter(
		({ text }, i) =>
			text.code !== 'figure.unconfirmed' ||
			remarks.findIndex((other) => keyOf(other.text) === keyOf(text)) === i
	);

/** What a verdict asks for, where it asks for anything. */
function remarkOf(verdict: Verdict | null): Remark[] {
	if (!verdict || verdict.state === 'clear' || verdict.state === 'not-measured') return [];
	return verdict.remedy ? [{ state: verdict.state, text: verdict.remedy }] : [];
}

function inForceOf(current: CurrentReadings): StationSheet['inForce'] {
	const inForce: StationSheet['inForce'] = {};
	for (const quantity of QUANTITIES) {
		const [newest] = current[quantity];
		if (newest) inForce[quantity] = newest;
	}
	return inForce;
}
