/**
 * Diagnoses a complaint from everything the program knows about the head: the readings, what
 * changed since the last signed sheet, service, trials, and what somebody recorded as seen.
 * Source: docs/trade/visits.md.
 */
import {
	CHECK_CODES,
	diagnose,
	evidenceOf,
	type Cause,
	type CheckCode,
	type Complaint,
	type Diagnosis,
	type EvidenceCode,
	type Found,
	type Likelihoods,
	type TrialOutcome
} from '../../diagnosis/index.ts';
import { newestLooks, sinceOf, testerRatio, type Job } from '../../../job/document/index.ts';
import { holdsAir } from '../../../sheet/checks/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import { jobLimits, type FigureName, type StationSheet } from '../../../sheet/figures/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import { LOW_ORDER, surgeOrder } from '../../../valvetrain/control/index.ts';
import { controlledStations, lowestFrequency } from '../../../valvetrain/on-job/control/index.ts';
import type { Trace } from '../../comparison/index.ts';
import type { StationComparison } from '../changes/index.ts';
import { doNotRun, type Stop } from '../stops/index.ts';
import { fatesOf } from '../used-springs/index.ts';
import {
	changeEvidence,
	isKnown,
	sheetEvidence,
	type ByFigures,
	type FigureEvidence
} from './figure-evidence.ts';
import { condemnedBy, mayFollow, stationsOf } from './locate.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'diagnosis.cause': { readonly cause: Cause };
		'diagnosis.named': { readonly causes: readonly Cause[]; readonly stations: readonly string[] };
		'diagnosis.elsewhere': null;
		'diagnosis.not-known-yet': null;
	}
}

export interface JobDiagnosis extends Diagnosis {
	readonly complaint: Complaint;
	/** Reasons not to run or crank the engine; nothing is tried while one is open. */
	readonly stops: readonly Stop[];
	readonly found: Found;
	readonly byFigures: ByFigures;
	/** Checks that are complete: every figure behind them is known, or somebody recorded what was seen. */
	readonly done: readonly CheckCode[];
	/** By cause, the stations that it concerns. */
	readonly stationsOf: (cause: Cause) => readonly string[];
	/** Stations whose springs the named causes condemn. */
	readonly condemned: readonly string[];
}

/** What is known beside the job and its sheet. */
export interface DiagnosisContext {
	/** The head compared with its last signed sheet; empty where it was not here before. */
	readonly comparison: readonly StationComparison[];
	readonly likelihoods?: Likelihoods;
	/** By station, the part of its service life that a spring has used; none where the shop sets no limit. */
	readonly lifeUsed?: ReadonlyMap<string, number>;
}

/** Evidence that follows from figures: nobody checks it off by hand. */
export const COMPUTED: ReadonlySet<EvidenceCode> = new Set<EvidenceCode>([
	'over-speed-event',
	'one-lash-opened',
	'lash-closed',
	'lash-spread',
	'all-lash-alike',
	'other-temperature',
	'on-head-low',
	'lift-fell',
	'leaks-down',
	'heights-grown',
	'locks-pulled-in',
	'tip-lower',
	'all-heights-alike',
	'bench-low',
	'all-loads-alike',
	'head-sunk',
	'bind-short',
	'seal-short',
	'nose-short',
	'net-seat-short',
	'piston-short',
	'control-short',
	'low-order',
	'stem-clearance'
]);

/** Everything that the figures of a job show. */
export function figureEvidence(job: Job, sheet: Sheet, context: DiagnosisContext): ByFigures {
	const found: Partial<Record<EvidenceCode, FigureEvidence>> = {
		...changeEvidence(context.comparison, jobLimits(job).limits, testerRatio(job)),
		...sheetEvidence(sheet),
		...leakEvidence(sheet),
		...surgeEvidence(job, sheet),
		...serviceEvidence(context.lifeUsed)
	};
	const overSpeed = sinceOf(job)?.overSpeed;
	if (overSpeed !== undefined) found['over-speed-event'] = asFound(overSpeed > 0);
	const reference = testerRatio(job);
	if (reference !== null) found['reference-off'] = asFound(Math.abs(reference - 1) > AGREES);
	return found;
}

/** Testers whose reference springs differ by less than this part agree: the repeatability of two readings. */
const AGREES = 0.02;

const asFound = (is: boolean, stations: readonly string[] = []): FigureEvidence => ({
	surely: Number(is),
	stations,
	by: null
});

/** Ports that do not hold vacuum and cylinders that do not hold air. */
function leakEvidence({ stations }: Sheet): ByFigures {
	const tried = stations.filter(wasTried);
	const leaking = tried
		.filter(
			({ figures, checks: { leakDown } }) =>
				figures.vacuum?.state === 'stop' || (leakDown && !holdsAir(leakDown))
		)
		.map(({ label }) => label);
	return tried.length > 0 ? { 'leaks-down': asFound(leaking.length > 0, leaking) } : {};
}
const wasTried = ({ checks }: StationSheet) => checks.vacuum !== null || checks.leakDown;

/** Surge orders at the highest speed that the engine was turned to, or else at that of the job. */
function surgeEvidence(job: Job, sheet: Sheet): ByFigures {
	const speed = sinceOf(job)?.highestSpeed ?? job.setup.use.engineSpeed;
	if (speed === undefined) return {};
	const known = controlledStations(sheet).flatMap((of) => {
		const frequency = lowestFrequency(of);
		return frequency === null ? [] : [{ station: of.station, order: surgeOrder(frequency, speed) }];
	});
	if (known.length === 0) return {};
	const low = known.filter(({ order }) => order < LOW_ORDER).map(({ station }) => station);
	return { 'low-order': asFound(low.length > 0, low) };
}

/** Springs beyond their service limit. */
function serviceEvidence(lifeUsed: ReadonlyMap<string, number> = new Map()): ByFigures {
	if (lifeUsed.size === 0) return {};
	const over = [...lifeUsed].filter(([, used]) => used >= 1).map(([station]) => station);
	return { 'service-over': asFound(over.length > 0, over) };
}

/** Checks whose figures are known at every station. A check without its figures is not done, whoever closed it. */
function doneByFigures(job: Job, sheet: Sheet, { comparison, lifeUsed }: DiagnosisContext) {
	const changed = (trace: Trace) =>
		comparison.length > 0 && comparison.every(({ moved }) => moved[trace]);
	const known = (...names: FigureName[]) =>
		sheet.stations.every((station) => names.every((name) => isKnown(station, name)));
	const hasRocker = job.setup.train !== 'bucket';
	const onAnotherTester = comparison.some(({ moved }) => moved.load?.isAnotherGauge);
	return {
		heights: changed('height'),
		'lash-as-found': changed('lash'),
		'bench-loads': changed('load'),
		'lift-round': changed('lift'),
		'on-head-loads': known('headLoad'),
		margins: known('bindMargin', 'sealClearance', 'netSeatLoad') && (!hasRocker || known('rocker')),
		'control-figure': known('controlLimit'),
		'leak-down': sheet.stations.every(wasTried),
		'gauge-reference':
			newestLooks(job).has('gauge-reference') && (testerRatio(job) !== null || !onAnotherTester),
		...(lifeUsed && lifeUsed.size > 0 && { 'service-record': true })
	} satisfies Partial<Record<CheckCode, boolean>>;
}

/** Trials that name the cause they address. */
const outcomesOf = (job: Job): TrialOutcome[] =>
	job.trials.flatMap(({ cause, result }) => (cause && result ? [{ cause, result }] : []));

/**
 * Returns the diagnosis of a job's complaint; null where none is recorded.
 *
 * @param context what is known beside the job: the last signed sheet, the shop's likelihoods, service
 */
export function diagnoseJob(
	job: Job,
	sheet: Sheet,
	context: DiagnosisContext = { comparison: [] }
): JobDiagnosis | null {
	const complaint = sinceOf(job)?.complaint;
	if (!complaint) return null;
	const byFigures = figureEvidence(job, sheet, context);
	const found: Partial<Record<EvidenceCode, number>> = {};
	for (const [code, { surely }] of Object.entries(byFigures)) found[code as EvidenceCode] = surely;
	const looks = newestLooks(job);
	const seenAt = new Map<EvidenceCode, readonly string[]>();
	for (const [check, { seen }] of looks) {
		const here = new Map(seen.map(({ evidence, stations = [] }) => [evidence, stations]));
		for (const code of evidenceOf(check)) {
			const stations = here.get(code);
			if (stations) seenAt.set(code, stations);
			// Where nobody ticked what only figures can tell, nothing was checked.
			if (stations !== undefined || !COMPUTED.has(code)) found[code] ??= Number(!!stations);
		}
	}
	const byFigure: Partial<Record<CheckCode, boolean>> = doneByFigures(job, sheet, context);
	const done = CHECK_CODES.filter((check) => byFigure[check] ?? looks.has(check));
	for (const [code, { stations }] of Object.entries(byFigures))
		seenAt.set(code as EvidenceCode, stations);
	const located = { found, at: seenAt };
	// A spring is condemned by its own decision: by nothing that all springs lost on another tester.
	const replaced = fatesOf(job, sheet, context.comparison, context.lifeUsed ?? new Map())
		.filter(({ fate }) => fate === 'replace')
		.map(({ station }) => station);
	const condemning = {
		found,
		at: new Map(seenAt).set(
			'bench-low',
			(seenAt.get('bench-low') ?? []).filter((station) => replaced.includes(station))
		)
	};
	const diagnosis = diagnose(complaint, found, done, context.likelihoods, outcomesOf(job));
	const inOrder = (labels: readonly string[]) =>
		job.stations.flatMap(({ label }) => (labels.includes(label) ? [label] : []));
	return {
		complaint,
		stops: doNotRun(job, sheet, context.comparison),
		found,
		byFigures,
		done,
		stationsOf: (cause) => inOrder(stationsOf(cause, located)),
		condemned: inOrder(condemnedBy(diagnosis.named, condemning)),
		...diagnosis,
		named: diagnosis.named.map((one) =>
			one.after && !mayFollow(one.cause, one.after, located) ? { ...one, after: null } : one
		)
	};
}

/** The answer as a message. */
export function answerMessage({ answer }: Pick<Diagnosis, 'answer'>): Message {
	switch (answer.type) {
		case 'cause':
			return message('diagnosis.cause', { cause: answer.cause });
		case 'elsewhere':
			return message('diagnosis.elsewhere');
		case 'not-known-yet':
			return message('diagnosis.not-known-yet');
	}
}
