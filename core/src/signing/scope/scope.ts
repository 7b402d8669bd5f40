/**
 * What a signature says: which stations, how far, and what that needs. A figure that is not
 * wanted on a job is left out for the whole of it, with its reason (docs/trade/assembly.md).
 */
import { assemblyOf, stepKey } from '../../assembly/index.ts';
import { holdsAir } from '../../sheet/checks/index.ts';
import {
	readingTime,
	scopeNeeds,
	isAtHand,
	SCOPES,
	stationsAtHand,
	type Job,
	type Quantity,
	type ScopeName,
	type ScopeNeed,
	type Work
} from '../../job/document/index.ts';
import type { Sheet } from '../../sheet/evaluation/index.ts';
import type { StationSheet } from '../../sheet/figures/index.ts';
import { isToAnswer, maySign, openItems, type OpenItem } from '../open-items/index.ts';
import type { StationComparison } from '../../visits/on-job/changes/index.ts';
import { KINDS } from '../../foundation/station/index.ts';
import type { Verdict } from '../../foundation/verdict/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'scope.says': {
			readonly scope: ScopeName;
			readonly stations: readonly string[];
			readonly of: number;
		};
		'scope.before': null;
		'scope.left-out': { readonly need: ScopeNeed; readonly reason: string };
		'scope.lacks': { readonly need: ScopeNeed; readonly stations: readonly string[] };
		'scope.empty': null;
	}
}

export interface Scope {
	readonly name: ScopeName;
	/** Labels of the stations that it speaks of; the rest of the job reads "not looked at". */
	readonly stations: readonly string[];
}

/** Something that a scope needs and has not got, and where. */
export interface Lacking {
	readonly need: ScopeNeed;
	readonly stations: readonly string[];
}

/** Work after which the piston has come nearer to the valves. */
const NEARER: readonly Work[] = [
	'deck-cut',
	'block-cut',
	'other-gasket',
	'other-piston',
	'cam-timing',
	'valve-train-changed'
];

const isKnown = (verdict: Verdict | null) => verdict !== null && verdict.figure !== null;
/** Whether a figure was held against something: one that was only written down proves nothing. */
const isJudged = (verdict: Verdict | null) => isKnown(verdict) && verdict!.limits.length > 0;

/** A station, when its spring went on in ms (null where no such step is recorded), and the setup. */
interface Asked {
	readonly station: StationSheet;
	readonly built: number | null;
	readonly setup: Job['setup'];
}

/** Whether something was done with the spring on, and not before. */
const isSince = (built: number | null, time: number | null) =>
	time !== null && (built === null || time >= built);
const readAt = ({ inForce }: StationSheet, quantity: Quantity) => {
	const reading = inForce[quantity];
	return reading ? readingTime(reading) : null;
};

/** Whether a station has what a need asks; assembly, the trial for leaks and piston are looked at apart. */
const HAS: Readonly<
	Record<Exclude<ScopeNeed, 'assembly' | 'vacuum' | 'piston'>, (of: Asked) => boolean>
> = {
	height: ({ station: { figures } }) => isKnown(figures.height),
	seatLoad: ({ station: { figures } }) => isKnown(figures.seatLoad),
	openLoad: ({ station: { figures } }) => isKnown(figures.openLoad),
	bindMargin: ({ station: { figures } }) => isKnown(figures.bindMargin),
	sealClearance: ({ station: { figures } }) => isKnown(figures.sealClearance),
	built: ({ station, built }) =>
		(isJudged(station.figures.built) && isSince(built, readAt(station, 'built-height'))) ||
		(isJudged(station.figures.headLoad) && isSince(built, readAt(station, 'on-head-load'))),
	lash: ({ station: { figures }, setup }) =>
		isJudged(setup.lifters === 'hydraulic' ? figures.preload : figures.lash)
};

/**
 * Whether a station was tried for leaks with its spring on: its port under vacuum, or, with the
 * head on the engine in the car, its cylinder by leak-down.
 */
function wasTried({ station, built, setup }: Asked, cylinder: readonly StationSheet[]): boolean {
	// A failed test blocks the station it is recorded at. For the others of its cylinder only one that held counts.
	const trials =
		setup.workLocation === 'vehicle'
			? cylinder.flatMap(({ label, checks: { leakDown } }) =>
					leakDown && (label === station.label || holdsAir(leakDown)) ? [leakDown] : []
				)
			: station.checks.vacuum
				? [station.checks.vacuum]
				: [];
	return trials.some(({ at }) => isSince(built, Date.parse(at)));
}

/** Every station of a job, for a scope. */
export const wholeJob = (job: Job, name: ScopeName): Scope => ({
	name,
	stations: stationsAtHand(job).map(({ label }) => label)
});

/** What a job does without and says why: a reason is at least a word. */
const leftOutOf = ({ setup }: Job): ReadonlySet<ScopeNeed> =>
	new Set((setup.leftOut ?? []).filter(({ reason }) => isReason(reason)).map(({ need }) => need));

/** Whether a text can be a reason: it has a word of two letters or more. */
export const isReason = (text: string): boolean => /\p{L}{2}/u.test(text);

/**
 * What a scope needs and has not got, but for what the job leaves out with its reason. A check
 * counts where it was made with the spring on, and was held against something.
 * Source: docs/trade/assembly.md. In the car the leak-down stands for the vacuum.
 *
 * @returns in the order of the work; empty where nothing is missing
 */
export function lackingFor(job: Job, sheet: Sheet, { name, stations }: Scope): Lacking[] {
	const { setup } = job;
	const leftOut = leftOutOf(job);
	const inScope = sheet.stations.filter(
		(station) => stations.includes(station.label) && isToAnswer(job, sheet, station)
	);
	const isBuilt = scopeNeeds(name).includes('assembly');
	const unbuilt = isBuilt ? notBuilt(job, sheet) : new Set<string>();
	const builtAt = isBuilt ? springsOn(job, sheet) : new Map<string, number>();
	const cylinders = new Map(job.stations.map(({ label, cylinder }) => [label, cylinder]));
	const has = (need: Exclude<ScopeNeed, 'piston'>, station: StationSheet): boolean => {
		const asked = { station, built: builtAt.get(station.label) ?? null, setup };
		if (need === 'assembly') return !unbuilt.has(station.label);
		if (need !== 'vacuum') return HAS[need](asked);
		const own = cylinders.get(station.label);
		return wasTried(
			asked,
			sheet.stations.filter(({ label }) => cylinders.get(label) === own)
		);
	};
	const without = (need: ScopeNeed): string[] =>
		need === 'piston'
			? withoutPiston(job, inScope)
			: inScope.filter((one) => !has(need, one)).map(({ label }) => label);
	return scopeNeeds(name)
		.filter((need) => !leftOut.has(need))
		.map((need) => ({ need, stations: without(need) }))
		.filter((lacking) => lacking.stations.length > 0);
}

/** When the spring of each station was last let up under its locks, in ms; stations of which no step says so are left out. */
function springsOn(job: Job, sheet: Sheet): ReadonlyMap<string, number> {
	const { done } = assemblyOf(job, sheet);
	return new Map(
		job.stations.flatMap(({ label }) => {
			const step = done.get(stepKey(label, 'release'));
			return step ? [[label, Date.parse(step.at)] as const] : [];
		})
	);
}

/** Stations of which some step of the assembly is not done, their cylinder's and the job's too; one not at hand has none to do. */
function notBuilt(job: Job, sheet: Sheet): Set<string> {
	const { steps, done } = assemblyOf(job, sheet);
	const open = new Set(
		steps.filter(({ place, step }) => !done.has(stepKey(place, step))).map(({ place }) => place)
	);
	return new Set(
		job.stations
			.filter(
				({ label, cylinder }) =>
					!isAtHand(job, label) ||
					open.has(label) ||
					open.has(`cylinder ${cylinder}`) ||
					open.has('job')
			)
			.map(({ label }) => label)
	);
}

/** Kinds of which no valve was held against its piston, where something brought them nearer. */
function withoutPiston(job: Job, inScope: readonly StationSheet[]): string[] {
	const withdrawn = new Set(job.headWork.flatMap(({ withdraws }) => withdraws ?? []));
	const nearer = job.headWork.some(
		({ id, work, withdraws }) => !withdraws && !withdrawn.has(id) && NEARER.includes(work)
	);
	if (!nearer) return [];
	return KINDS.flatMap((kind) => {
		const own = inScope.filter((one) => one.kind === kind);
		return own.some(({ figures }) => isKnown(figures.piston)) ? [] : own.map(({ label }) => label);
	});
}

/** What keeps a scope from being signed: nothing of it read, what it lacks, what is open at its places. */
export interface ScopeStatus {
	/** Whether anything was read at a station in scope, and the scope still claims something. */
	readonly isRead: boolean;
	readonly lacking: readonly Lacking[];
	readonly items: readonly OpenItem[];
	readonly maySign: boolean;
}

/** Whether something is left of what a scope says beyond the scope before it. */
function claims(job: Job, name: ScopeName): boolean {
	const leftOut = leftOutOf(job);
	const before = SCOPES[SCOPES.indexOf(name) - 1];
	const own = scopeNeeds(name).slice(before ? scopeNeeds(before).length : 0);
	return own.some((need) => !leftOut.has(need));
}

/**
 * What keeps a scope from being signed, if anything does: whether it was read at all, what it lacks
 * and what is open at its stations. Source: docs/trade/assembly.md.
 *
 * @param comparison the head compared with its last signed sheet; empty where it was not here before
 */
export function scopeStatus(
	job: Job,
	sheet: Sheet,
	scope: Scope,
	comparison: readonly StationComparison[] = []
): ScopeStatus {
	const isRead =
		claims(job, scope.name) &&
		sheet.stations.some(
			({ label, inForce }) => scope.stations.includes(label) && Object.keys(inForce).length > 0
		);
	const lacking = lackingFor(job, sheet, scope);
	const items = openItems(job, sheet, comparison).filter((item) => concerns(item, job, scope));
	return { isRead, lacking, items, maySign: isRead && lacking.length === 0 && maySign(items) };
}

/** Items of an assembly that is not whole: told by what the scope lacks, where it claims one. */
const OF_ASSEMBLY = /^(assembly|unbuilt|count)$/;

function concerns({ key, place }: OpenItem, job: Job, { stations }: Scope): boolean {
	if (OF_ASSEMBLY.test(key)) return false;
	const places = place.split(' ');
	const own = job.stations.filter(({ label }) => places.includes(label));
	if (own.length > 0) return own.some(({ label }) => stations.includes(label));
	const cylinder = /^cylinder (\d+)$/.exec(place)?.[1];
	if (cylinder !== undefined)
		return job.stations.some(
			(one) => one.cylinder === Number(cylinder) && stations.includes(one.label)
		);
	return true;
}

/** The furthest that a whole job can be signed for now; null where it can for nothing. */
export const furthest = (job: Job, sheet: Sheet): ScopeName | null =>
	SCOPES.findLast((name) => scopeStatus(job, sheet, wholeJob(job, name)).maySign) ?? null;
