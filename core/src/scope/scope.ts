/**
 * What a signature says: which stations, how far, and what that needs. A figure that is not
 * wanted on a job is left out for the whole of it, with its reason (handbook §9).
 */
import { assemblyOf, stepKey } from '../assembly/index.ts';
import {
	scopeNeeds,
	isAtHand,
	SCOPES,
	stationsAtHand,
	type Job,
	type ScopeName,
	type ScopeNeed,
	type Work
} from '../document/index.ts';
import type { Sheet } from '../evaluation/index.ts';
import type { StationSheet } from '../figures/index.ts';
import { isToAnswer, maySign, openItems, type OpenItem } from '../open-items/index.ts';
import { KINDS } from '../station/index.ts';
import type { Verdict } from '../verdict/index.ts';

declare module '../message/message.ts' {
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

/** Whether a station has what a need asks; assembly and piston are looked at apart. */
const HAS: Readonly<
	Record<Exclude<ScopeNeed, 'assembly' | 'piston'>, (of: StationSheet) => boolean>
> = {
	height: ({ figures }) => isKnown(figures.height),
	seatLoad: ({ figures }) => isKnown(figures.seatLoad),
	openLoad: ({ figures }) => isKnown(figures.openLoad),
	bindMargin: ({ figures }) => isKnown(figures.bindMargin),
	sealClearance: ({ figures }) => isKnown(figures.sealClearance),
	built: ({ figures }) => isKnown(figures.built) || isKnown(figures.headLoad),
	vacuum: ({ checks }) => checks.vacuum !== null,
	lash: ({ figures, inForce }) => isKnown(figures.lash) || inForce.preload !== undefined
};

/** Every station of a job, for a scope. */
export const wholeJob = (job: Job, name: ScopeName): Scope => ({
	name,
	stations: stationsAtHand(job).map(({ label }) => label)
});

/**
 * What a scope needs and has not got, but for what the job leaves out with its reason.
 * Source: handbook §9. In the car the air that holds the valves stands for the vacuum.
 *
 * @returns in the order of the work; empty where nothing is missing
 */
export function lackingFor(job: Job, sheet: Sheet, { name, stations }: Scope): Lacking[] {
	const leftOut = new Set((job.setup.leftOut ?? []).map(({ need }) => need));
	const inScope = sheet.stations.filter(
		(station) => stations.includes(station.label) && isToAnswer(job, sheet, station)
	);
	const unbuilt = scopeNeeds(name).includes('assembly') ? notBuilt(job, sheet) : new Set<string>();
	const without = (need: ScopeNeed): string[] => {
		if (need === 'vacuum' && job.setup.workLocation === 'vehicle') return [];
		if (need === 'piston') return withoutPiston(job, inScope);
		return inScope
			.filter((one) => (need === 'assembly' ? unbuilt.has(one.label) : !HAS[need](one)))
			.map(({ label }) => label);
	};
	return scopeNeeds(name)
		.filter((need) => !leftOut.has(need))
		.map((need) => ({ need, stations: without(need) }))
		.filter((lacking) => lacking.stations.length > 0);
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
export interface Standing {
	/** Whether anything was read at a station in scope. */
	readonly isRead: boolean;
	readonly lacking: readonly Lacking[];
	readonly items: readonly OpenItem[];
	readonly maySign: boolean;
}

/** How a scope stands. */
export function standingOf(job: Job, sheet: Sheet, scope: Scope): Standing {
	const isRead = sheet.stations.some(
		({ label, inForce }) => scope.stations.includes(label) && Object.keys(inForce).length > 0
	);
	const lacking = lackingFor(job, sheet, scope);
	const items = openItems(job, sheet).filter((item) => concerns(item, job, scope));
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
	SCOPES.findLast((name) => standingOf(job, sheet, wholeJob(job, name)).maySign) ?? null;
