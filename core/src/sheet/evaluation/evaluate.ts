/**
 * `evaluate(job)`: the one function that turns a job document into its sheet.
 * The browser calls it on every keystroke, the server for paper and exports,
 * the command line on a file. Pure: same job, same sheet.
 */
import { lengthOf, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { KINDS, medianBand, type Kind, type MedianBand } from '../../foundation/station/index.ts';
import { worst, type State } from '../../foundation/verdict/index.ts';
import {
	currentReadings,
	partsByStation,
	QUANTITIES,
	type Inspection,
	type Job,
	type Quantity
} from '../../job/document/index.ts';
import {
	bareFigures,
	commonDrift,
	forgottenOn,
	headsApart,
	heightsRead,
	inspectedMedians,
	jobLimits,
	kindSheet,
	pocketsCut,
	sampledSprings,
	stationSheet,
	type JobLimits,
	type KindSheet,
	type Remark,
	type StationSheet
} from '../figures/index.ts';
import { checksInForceOf, NO_CHECKS } from '../checks/index.ts';
import { findings, fitGroups, type Finding, type Fitted } from '../fit/index.ts';
import { shimsNeeded } from './shims-needed.ts';
import type { Extreme, Sheet } from './sheet.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'stock.too-few': {
			readonly shim: Millimetres;
			readonly suggested: number;
			readonly stock: number;
		};
	}
}

/**
 * Works out every figure and verdict of a job.
 *
 * @param job a checked job document
 * @returns the sheet; what is not known is "not measured" in it, never left out
 */
export function evaluate(job: Job): Sheet {
	const current = currentReadings(job);
	const shared = jobLimits(job);
	const heights = heightsRead(job, current, shared.repeats);
	const seen = newestInspections(job);
	const checks = checksInForceOf(job);
	const partsAt = partsByStation(job);
	const inspected = inspectedMedians(job, current);
	const { kinds, kindAt, medianBands } = kindsOf(job, heights, shared, partsAt);
	const asked = forgottenOn(
		job,
		heights,
		({ label }) => kindAt.get(label)!,
		shared,
		({ label }) => partsAt.get(label)!
	);
	const fitted = job.stations.map((entry): Fitted => {
		const parts = partsAt.get(entry.label)!;
		const kind = kindAt.get(entry.label)!;
		const sheet = stationSheet({
			job,
			station: entry,
			parts,
			current: current.get(entry.label)!,
			seen: seen.get(entry.label),
			checks: checks.get(entry.label) ?? NO_CHECKS,
			kind,
			shared,
			medians: inspected,
			isAsked: asked.has(entry.head),
			height: heights.get(entry.label) ?? null
		});
		return { entry, parts, kind, sheet };
	});
	const stations = fitted.map(({ sheet }) => sheet);
	const fitContexts = fitGroups(job, fitted);
	const fit = findings(fitContexts, job.acceptances);
	const remarks = [
		...asked.values(),
		...headsApart(job, medianBands, shared),
		...pocketsCut(job),
		...jobRemarks(kinds),
		...sampledSprings(job),
		...stockRemarks(job, stations),
		...commonDrift(
			stations.flatMap((station) => station.lashDrift ?? []),
			shared.limits.lash
		)
	];

	return {
		job: { id: job.id, number: job.number },
		state: worst([
			...stations.map((station) => station.state),
			...remarks.map((remark) => remark.state),
			...fit.map(findingState)
		]),
		stations,
		fit,
		fitContexts,
		kinds,
		measured: countOf(stations),
		min: {
			bindMargin: tightest(stations, 'bindMargin'),
			sealClearance: tightest(stations, 'sealClearance')
		},
		seatLoads: byKind((kind) => seatLoadRange(stations, kind)),
		remarks
	};
}

/** The kinds of the job, of each station, and the middle of each head's bare heights. */
function kindsOf(
	job: Job,
	heights: ReturnType<typeof heightsRead>,
	shared: ReturnType<typeof jobLimits>,
	partsAt: ReturnType<typeof partsByStation>
) {
	const bare = job.stations.flatMap(({ label, kind, head }): BareHeight[] => {
		const read = heights.get(label);
		return read ? [{ kind, head, height: read.value }] : [];
	});
	const medianBands = new Map(
		job.heads.map(({ id }) => [id, byKind((kind) => medianAmong(bare, shared, kind, id))])
	);
	const kinds = byKind((kind) =>
		kindSheet(kind, job.setup.kinds[kind], job.setup, medianAmong(bare, shared, kind))
	);
	// Heads of one engine may stand apart: each valve is held against its own head's.
	const ofHead = new Map(
		job.heads.map(({ id }) => [
			id,
			job.heads.length === 1
				? kinds
				: byKind((kind) => ({ ...kinds[kind], ...bareFigures(medianBands.get(id)![kind]) }))
		])
	);
	const kindAt = new Map(
		job.stations.map((entry) => {
			const parts = partsAt.get(entry.label)!;
			const isOwn = parts !== job.setup.kinds[entry.kind];
			const kind = isOwn
				? kindSheet(entry.kind, parts, job.setup, medianBands.get(entry.head)![entry.kind])
				: ofHead.get(entry.head)![entry.kind];
			return [entry.label, kind] as const;
		})
	);
	return { kinds, kindAt, medianBands };
}

/** At how many stations each quantity was read. */
export const countOf = (stations: readonly StationSheet[]): Record<Quantity, number> =>
	Object.fromEntries(
		QUANTITIES.map((quantity) => [
			quantity,
			stations.filter((station) => station.inForce[quantity]).length
		])
	) as Record<Quantity, number>;

/** What a finding comes to: a note alarms nobody, a missing figure is not measured, an accepted watch is settled. */
export function findingState(finding: Finding): State {
	if (finding.outcome === 'missing') return 'not-measured';
	if (finding.outcome === 'passes' || finding.severity === 'note') return 'clear';
	if (finding.severity === 'watch' && finding.acceptance) return 'clear';
	return finding.severity;
}

function newestInspections(job: Job): ReadonlyMap<string, Inspection> {
	const newest = new Map<string, Inspection>();
	for (const entry of job.inspections) {
		const before = newest.get(entry.station);
		if (!before || Date.parse(before.at) <= Date.parse(entry.at)) newest.set(entry.station, entry);
	}
	return newest;
}

function byKind<T>(make: (kind: Kind) => T): Record<Kind, T> {
	return { intake: make('intake'), exhaust: make('exhaust') };
}

interface BareHeight {
	readonly kind: Kind;
	readonly head: string;
	readonly height: Millimetres;
}

/** The middle of a kind's bare heights, of one head or of all. */
const medianAmong = (
	heights: readonly BareHeight[],
	{ limits }: JobLimits,
	kind: Kind,
	head?: string
): MedianBand | null =>
	medianBand(
		heights
			.filter((one) => one.kind === kind && (head === undefined || one.head === head))
			.map(({ height }) => height),
		limits.outlierMin,
		limits.outlierFactor,
		limits.outlierMax
	);

function tightest(
	stations: readonly StationSheet[],
	column: 'bindMargin' | 'sealClearance'
): Extreme<Millimetres> | null {
	return stations.reduce<Extreme<Millimetres> | null>((lowest, station) => {
		const { figure } = station.figures[column];
		if (figure === null || (lowest && lowest.figure <= figure)) return lowest;
		return { station: station.label, figure };
	}, null);
}

function seatLoadRange(stations: readonly StationSheet[], kind: Kind) {
	const loads = stations
		.filter((station) => station.kind === kind)
		.flatMap((station) => station.figures.seatLoad.figure ?? []);
	if (loads.length === 0) return null;
	return {
		min: loads.reduce((a, b) => (b < a ? b : a)),
		max: loads.reduce((a, b) => (b > a ? b : a))
	};
}

function jobRemarks(kinds: Readonly<Record<Kind, KindSheet>>): Remark[] {
	return KINDS.flatMap((kind) => kinds[kind].remarks);
}

/** Sizes of which all the suggestions together need more than the shelf holds. */
function stockRemarks(job: Job, stations: readonly StationSheet[]): Remark[] {
	const needed = shimsNeeded(stations);
	const stock = new Map<Millimetres, number>();
	for (const { thickness, count } of job.setup.shimStock)
		stock.set(
			lengthOf(thickness),
			(stock.get(lengthOf(thickness)) ?? 0) + (count ?? Number.POSITIVE_INFINITY)
		);
	return [...stock].flatMap(([length, count]) => {
		const want = needed.get(length) ?? 0;
		return want <= count
			? []
			: [
					{
						state: 'watch' as const,
						text: message('stock.too-few', { shim: length, suggested: want, stock: count })
					}
				];
	});
}
