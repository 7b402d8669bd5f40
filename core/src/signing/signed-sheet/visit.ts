/** A head then and now as a sheet freezes it: what moved, what it was lost to, what was looked at, tried and changed. */
import {
	partsOf,
	sinceOf,
	stationsThen,
	testerRatio,
	type Job,
	type KindSetup
} from '../../job/document/index.ts';
import type { Sheet } from '../../sheet/evaluation/index.ts';
import { diagnoseJob } from '../../visits/on-job/diagnosis/index.ts';
import { STATION_PARTS } from '../../parts/part/index.ts';
import { inCommon, loadsInCommon, visitComparison } from '../../visits/on-job/changes/index.ts';
import { isBeyond } from '../../visits/comparison/index.ts';

/** Which parts and shims stand at a station otherwise than they were signed. */
function changesOf(then: Job, now: Job) {
	const partners = stationsThen(then, now) ?? new Map();
	const nameAt = (parts: KindSetup, place: (typeof STATION_PARTS)[number]) =>
		(parts[place] as { name?: string } | undefined)?.name ?? null;
	return now.stations.flatMap((entry) => {
		const before = partners.get(entry.label);
		if (!before) return [];
		const [was, is] = [partsOf(then.setup, before), partsOf(now.setup, entry)];
		const parts = STATION_PARTS.filter((place) => nameAt(was, place) !== nameAt(is, place)).map(
			(place) => ({ place, from: nameAt(was, place), to: nameAt(is, place) })
		);
		const isReshimmed = before.shims.join() !== entry.shims.join();
		const isSwapped = before.spring !== entry.spring;
		if (parts.length === 0 && !isReshimmed && !isSwapped) return [];
		return [
			{
				station: entry.label,
				parts,
				...(isReshimmed && { shims: { from: before.shims, to: entry.shims } }),
				...(isSwapped && { spring: { from: before.spring ?? null, to: entry.spring ?? null } })
			}
		];
	});
}

/**
 * All of a visit that its sheet freezes; lengths in mm, loads in N.
 *
 * @param then the job of the sheet that it starts from
 * @returns null for a job that is no visit
 */
export function visitAsSigned(job: Job, sheet: Sheet, then: Job) {
	if (!job.visitOf) return null;
	const stations = visitComparison(then, job);
	const diagnosis = diagnoseJob(job, sheet, { comparison: stations });
	return {
		of: job.visitOf,
		since: sinceOf(job),
		stations: stations.map(({ station, moved, losses, happened }) => ({
			station,
			moved: Object.fromEntries(
				Object.entries(moved).map(([trace, { then: was, now, change, isAnotherGauge }]) => [
					trace,
					{ then: was, now, change, isNews: isBeyond(change), isAnotherGauge }
				])
			),
			losses: losses && { toHeight: losses.toHeight, toSag: losses.toSag },
			happened: happened && {
				fitsNone: happened.fitsNone,
				explanations: happened.explanations.map((one) => one.happened),
				parts: happened.parts
			}
		})),
		common: inCommon(stations),
		loads: loadsInCommon(stations, testerRatio(job)),
		diagnosis: diagnosis && { complaint: diagnosis.complaint, answer: diagnosis.answer },
		trials: job.trials.filter(({ result }) => result !== undefined),
		changes: changesOf(then, job)
	};
}

/** A visit as it was signed. */
export type FrozenVisit = NonNullable<ReturnType<typeof visitAsSigned>>;
