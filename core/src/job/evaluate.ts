/**
 * `evaluate(job)`: the one function that turns a job document into its sheet.
 * The browser calls it on every keystroke, the server for paper and exports,
 * the command line on a file. Pure: same job, same sheet.
 */
import { lengthOf, mm, type Millimetres } from '../units/quantity.ts';
import { ofLength, say } from '../units/phrase.ts';
import { KINDS, type Kind } from '../station/layout.ts';
import { middleOf, type Middle } from '../station/outlier.ts';
import { worst, type State } from '../verdict/verdict.ts';
import { standingReadings, type Standing } from './in-force.ts';
import { kindSheet } from './kind.ts';
import { newestChecks, NO_CHECKS } from '../check/check.ts';
import { commonDrift } from '../lash/drift.ts';
import { findings, fitGroups, type Fitted } from '../fit/fit.ts';
import type { Finding } from '../fit/finding.ts';
import { bareHeightOf } from './planned.ts';
import { sharedBy } from './shared.ts';
import { stationSheet } from './station.ts';
import { taken } from './taken.ts';
import { partsOf } from './parts-of.ts';
import { QUANTITIES, type Quantity } from './quantities.ts';
import type { Inspection, Job } from './schema.ts';
import type { Extreme, KindSheet, Remark, Sheet, StationSheet } from './sheet.ts';

/**
 * Works out every figure and verdict of a job.
 *
 * @param job a checked job document
 * @returns the sheet; what is not known is "not measured" in it, never left out
 */
export function evaluate(job: Job): Sheet {
	const standing = standingReadings(job);
	const middles = byKind((kind) => bareMiddle(job, kind, standing));
	const kinds = byKind((kind) => kindSheet(kind, job.setup.kinds[kind], job.setup, middles[kind]));
	const shared = sharedBy(job.setup);
	const seen = newestInspections(job);
	const checks = newestChecks(job.checks);
	const fitted = job.stations.map((entry): Fitted => {
		const parts = partsOf(job.setup, entry);
		const isOwn = parts !== job.setup.kinds[entry.kind];
		const kind = isOwn
			? kindSheet(entry.kind, parts, job.setup, middles[entry.kind])
			: kinds[entry.kind];
		const sheet = stationSheet({
			job,
			station: entry,
			parts,
			standing: standing.get(entry.label)!,
			seen: seen.get(entry.label),
			checks: checks.get(entry.label) ?? NO_CHECKS,
			kind,
			shared
		});
		return { entry, parts, kind, sheet };
	});
	const stations = fitted.map(({ sheet }) => sheet);
	const fitContexts = fitGroups(job, fitted);
	const fit = findings(fitContexts, job.acceptances);
	const remarks = [
		...jobRemarks(kinds),
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
		measured: Object.fromEntries(
			QUANTITIES.map((quantity) => [
				quantity,
				stations.filter((station) => station.inForce[quantity]).length
			])
		) as Record<Quantity, number>,
		least: {
			bindMargin: least(stations, 'bindMargin'),
			sealClearance: least(stations, 'sealClearance')
		},
		seatLoads: byKind((kind) => seatLoadRange(stations, kind)),
		remarks
	};
}

/** What a finding comes to: a note alarms nobody, a missing figure is not measured, an accepted watch is settled. */
export function findingState(finding: Finding): State {
	if (finding.outcome === 'missing') return 'not measured';
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

function bareMiddle(job: Job, kind: Kind, standing: ReadonlyMap<string, Standing>): Middle | null {
	const { outlierLeast, outlierFactor } = job.setup.limits;
	const heights = job.stations
		.filter((station) => station.kind === kind)
		.flatMap(
			(station) =>
				taken(standing.get(station.label)!['installed height'], bareHeightOf)?.value ?? []
		);
	return middleOf(heights, lengthOf(outlierLeast), outlierFactor);
}

function least(
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
		least: loads.reduce((a, b) => (b < a ? b : a)),
		most: loads.reduce((a, b) => (b > a ? b : a))
	};
}

function jobRemarks(kinds: Readonly<Record<Kind, KindSheet>>): Remark[] {
	return KINDS.flatMap((kind) => kinds[kind].remarks);
}

/** Sizes of which all the suggestions together need more than the shelf holds. */
function stockRemarks(job: Job, stations: readonly StationSheet[]): Remark[] {
	const needed = new Map<Millimetres, number>();
	for (const { shim, stack } of stations) {
		if (shim?.answer.sort !== 'fit') continue;
		const kept = [...stack.shims];
		for (const thickness of shim.answer.shims) {
			const held = kept.indexOf(thickness);
			if (held >= 0) kept.splice(held, 1);
			else needed.set(thickness, (needed.get(thickness) ?? 0) + 1);
		}
	}
	return job.setup.shimStock.flatMap(({ thickness, count }) => {
		const length = mm(lengthOf(thickness));
		const want = needed.get(length) ?? 0;
		return want <= count
			? []
			: [
					{
						state: 'watch' as const,
						text: say`Shims ${ofLength(length)}: ${want} suggested, ${count} in stock`
					}
				];
	});
}
