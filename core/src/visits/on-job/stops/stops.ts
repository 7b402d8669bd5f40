/**
 * What forbids running or cranking the engine: damage that somebody recorded, and figures at which
 * parts collide. These rules come before any weighing of causes. Source: docs/trade/visits.md#stop-rules.
 */
import {
	concerns,
	newestLooks,
	worksDone,
	type Job,
	type Look,
	type Work
} from '../../../job/document/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import type { FigureName, StationSheet } from '../../../sheet/figures/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import type { EvidenceCode } from '../../diagnosis/index.ts';
import { arePulledLocks, type StationComparison } from '../changes/index.ts';

/** Reasons not to run or crank an engine, in the order in which they are shown. */
export const STOPS = [
	'piston-contact',
	'spring-cracked',
	'valve-bent',
	'seat-loose',
	'locks-pulled',
	'locks-not-seated',
	'part-damaged',
	'bare-titanium-tip',
	'no-oil',
	'coil-bind',
	'retainer-on-seal',
	'retainer-on-rocker',
	'pushed-open'
] as const;
export type StopCode = (typeof STOPS)[number];

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'do-not-run': { readonly stop: StopCode };
		'do-not-run.try-nothing': null;
	}
}

export interface Stop {
	readonly code: StopCode;
	/** The stations it concerns; none where it concerns the whole engine. */
	readonly stations: readonly string[];
}

/** Stops by the mark that somebody recorded, and the work that settles it. */
const BY_MARK: Readonly<
	Partial<
		Record<
			EvidenceCode,
			{ readonly code: StopCode; readonly settledBy: readonly (Work | 'spring')[] }
		>
	>
> = {
	'spring-cracked': { code: 'spring-cracked', settledBy: ['spring'] },
	'broken-near-end': { code: 'spring-cracked', settledBy: ['spring'] },
	'crack-at-pit': { code: 'spring-cracked', settledBy: ['spring'] },
	'valve-bent': { code: 'valve-bent', settledBy: ['parts-changed'] },
	'piston-mark': { code: 'piston-contact', settledBy: ['parts-changed'] },
	'seat-loose': { code: 'seat-loose', settledBy: ['seats'] },
	'locks-not-seated': { code: 'locks-not-seated', settledBy: ['parts-changed'] },
	'retainer-not-level': { code: 'locks-not-seated', settledBy: ['parts-changed'] },
	'groove-damaged': { code: 'part-damaged', settledBy: ['parts-changed'] },
	'part-damaged': { code: 'part-damaged', settledBy: ['parts-changed', 'valve-train-changed'] },
	'no-oil': { code: 'no-oil', settledBy: [] }
};

/** Figures that must stay above zero: below it parts collide, or the valve is pushed off its seat. */
const BY_FIGURE = {
	bindMargin: 'coil-bind',
	sealClearance: 'retainer-on-seal',
	rocker: 'retainer-on-rocker',
	netSeatLoad: 'pushed-open'
} as const satisfies Partial<Record<FigureName, StopCode>>;

/**
 * Returns every reason not to run or crank the engine, in the order of {@link STOPS}.
 *
 * @param comparison the head compared with its last signed sheet; empty where it was not here before
 */
export function doNotRun(
	job: Job,
	sheet: Sheet,
	comparison: readonly StationComparison[] = []
): Stop[] {
	return merged([
		...recordedStops(job, comparison),
		...sheet.stations.flatMap(inspectedStops),
		...sheet.stations.flatMap(figureStops),
		...sheet.fit
			.filter(({ rule, outcome }) => rule === 'titanium-tip' && outcome === 'fails')
			.map(({ kind, stations }): Stop => {
				const all = sheet.stations.filter((one) => one.kind === kind).map(({ label }) => label);
				return { code: 'bare-titanium-tip', stations: stations.length > 0 ? stations : all };
			})
	]);
}

/**
 * Returns the stops that no figure of the sheet shows: damage that somebody recorded, and locks
 * that may have pulled through since the last signed sheet.
 */
export const recordedStops = (job: Job, comparison: readonly StationComparison[] = []): Stop[] =>
	merged([
		...markedStops(job),
		...comparison
			.filter((one) => arePulledLocks(one) && !isSettled(job, one.station, ['parts-changed']))
			.map(({ station }): Stop => ({ code: 'locks-pulled', stations: [station] }))
	]);

/** One stop of each code, in the order of {@link STOPS}, with all its stations. */
function merged(found: readonly Stop[]): Stop[] {
	return STOPS.flatMap((code): Stop[] => {
		const own = found.filter((one) => one.code === code);
		if (own.length === 0) return [];
		// A mark without its valve concerns the whole engine until somebody says where it is.
		const isAnywhere = own.some(({ stations }) => stations.length === 0);
		const stations = isAnywhere ? [] : [...new Set(own.flatMap((one) => one.stations))];
		return [{ code, stations }];
	});
}

/** Stops from marks in the newest record of each check, without those settled since. */
function markedStops(job: Job): Stop[] {
	return [...newestLooks(job).values()].flatMap((look) =>
		look.seen.flatMap(({ evidence, stations }): Stop[] => {
			const rule = BY_MARK[evidence];
			if (!rule) return [];
			if (!stations || stations.length === 0) return [{ code: rule.code, stations: [] }];
			const open = stations.filter((one) => !isSettled(job, one, rule.settledBy, look));
			return open.length > 0 ? [{ code: rule.code, stations: open }] : [];
		})
	);
}

/** Stations with a spring that somebody recorded as cracked or broken, and that has not been replaced. */
export const damagedSprings = (job: Job): ReadonlySet<string> =>
	new Set(
		[...newestLooks(job).values()].flatMap((look) =>
			look.seen.flatMap(({ evidence, stations = [] }) =>
				BY_MARK[evidence]?.code === 'spring-cracked'
					? stations.filter((station) => !isSettled(job, station, ['spring'], look))
					: []
			)
		)
	);

/** Whether the part at a station was replaced, or its seat, after something was recorded. */
function isSettled(
	job: Job,
	label: string,
	settledBy: readonly (Work | 'spring')[],
	look?: Look
): boolean {
	const since = look ? Date.parse(look.at) : 0;
	const isLater = ({ at }: { readonly at: string }) => Date.parse(at) > since;
	const entry = job.stations.find((one) => one.label === label);
	if (!entry) return false;
	const isReplaced =
		settledBy.includes('spring') &&
		(job.decisions.some(
			(one) =>
				isLater(one) &&
				(one.subject === `stations.${label}.spring` ||
					one.subject === `stations.${label}.newSpring`)
		) ||
			job.plans.some(
				(plan) =>
					isLater(plan) &&
					plan.stations.some((one) => one.label === label && one.newSpring === true)
			));
	return (
		isReplaced ||
		worksDone(job.headWork).some(
			(done) => isLater(done) && settledBy.includes(done.work) && concerns(done, entry)
		)
	);
}

/** A bent stem and a worn groove, by the newest inspection of the valve. */
function inspectedStops({ label, seen }: StationSheet): Stop[] {
	return [
		...(seen?.stem === 'bent' ? [{ code: 'valve-bent' as const, stations: [label] }] : []),
		...(seen?.groove === 'worn' ? [{ code: 'part-damaged' as const, stations: [label] }] : [])
	];
}

/** Clearances and loads at or below zero. */
function figureStops({ label, figures }: StationSheet): Stop[] {
	return (Object.keys(BY_FIGURE) as (keyof typeof BY_FIGURE)[]).flatMap((name): Stop[] => {
		const figure = figures[name]?.figure ?? null;
		return figure !== null && figure <= 0 ? [{ code: BY_FIGURE[name], stations: [label] }] : [];
	});
}

/** The message of a stop; its stations are shown next to it. */
export const stopMessage = ({ code }: Stop): Message => message('do-not-run', { stop: code });
