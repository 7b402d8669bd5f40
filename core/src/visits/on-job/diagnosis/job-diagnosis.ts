/**
 * Diagnoses a complaint about a head from the findings and from the job's figures: today's, and what
 * moved since the last signed sheet. Source: docs/trade/visits.md.
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
	type Likelihoods
} from '../../diagnosis/index.ts';
import { newestLooks, sinceOf, type Job } from '../../../job/document/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import { jobLimits, type FigureName, type StationSheet } from '../../../sheet/figures/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import type { StationComparison } from '../changes/index.ts';
import { NORMAL } from '../../../foundation/verdict/index.ts';
import type { Trace } from '../../comparison/index.ts';

/** What moved, or which figure stands so. */
type FigureOf = { readonly moved: Trace } | { readonly figure: FigureName };

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'diagnosis.cause': { readonly cause: Cause };
		'diagnosis.elsewhere': null;
		'diagnosis.not-known-yet': null;
	}
}

/** How surely something is so by the figures, and where it is most. */
export interface FigureEvidence {
	readonly surely: number;
	/** Stations at which it is likelier than not. */
	readonly stations: readonly string[];
	/** The figure of the station where it is surest, in its SI unit; null where none is told. */
	readonly by: ({ readonly station: string; readonly value: number } & FigureOf) | null;
}
export type ByFigures = Readonly<Partial<Record<EvidenceCode, FigureEvidence>>>;

export interface JobDiagnosis extends Diagnosis {
	readonly complaint: Complaint;
	readonly found: Found;
	readonly byFigures: ByFigures;
	/** Checks that are done: looked at, or every figure of them is there. */
	readonly done: readonly CheckCode[];
}

/** How surely a figure that was read to so much lies above a line. The logistic curve stands for the normal one, within 0.01. */
const surelyAbove = (value: number, uncertainty: number, line: number): number =>
	uncertainty > 0
		? 1 / (1 + Math.exp((-1.702 * (value - line)) / (uncertainty / NORMAL)))
		: Number(value > line);

interface At {
	readonly station: string;
	readonly surely: number;
	readonly value: number;
}

/** Of several stations the one where it is surest says how surely it is so. */
function surest(at: readonly At[], of: FigureOf, nth = 0): FigureEvidence | null {
	const sorted = at.toSorted((a, b) => b.surely - a.surely);
	const chosen = sorted[nth];
	if (!chosen) return null;
	return {
		surely: chosen.surely,
		stations: at.filter(({ surely }) => surely > 0.5).map(({ station }) => station),
		by: { station: sorted[0]!.station, value: sorted[0]!.value, ...of }
	};
}

/** From this much of its lift lost on, in mm, a lobe is worn more than lifts are read apart. */
const LIFT_FELL = 0.1;
/** Lash that moved on as many valves is spread, and no single one's. */
const MANY = 3;

/** What the figures of a job say of each piece of evidence that is a figure. */
export function figureEvidence(
	job: Job,
	sheet: Sheet,
	beside: readonly StationComparison[]
): ByFigures {
	const { limits } = jobLimits(job);
	const lashLine = () => limits.lash.watch;
	const moved = (trace: Trace, line: (then: number) => number, sign = 1): At[] =>
		beside.flatMap(({ station, moved: all }) => {
			const one = all[trace];
			if (!one) return [];
			const { by, uncertainty } = one.change;
			const surely = surelyAbove(sign * by, uncertainty, line(one.then.value));
			return [{ station, surely, value: by }];
		});
	const lashMoved = moved('lash', lashLine);
	const lashClosed = moved('lash', lashLine, -1);
	const either = lashMoved.map((one, i) => ({
		...one,
		surely: Math.max(one.surely, lashClosed[i]!.surely)
	}));
	const isSpread = either.filter(({ surely }) => surely > 0.5).length >= MANY;
	const found: Record<string, FigureEvidence | null> = {
		'heights-grown': surest(
			moved('height', () => limits.heightTolerance),
			{ moved: 'height' }
		),
		'lash-closed': surest(lashClosed, { moved: 'lash' }),
		'one-lash-opened': isSpread ? null : surest(lashMoved, { moved: 'lash' }),
		'lash-spread': surest(either, { moved: 'lash' }, MANY - 1),
		'bench-low': surest(
			moved('load', (then) => limits.sag.watch * then, -1),
			{ moved: 'load' }
		),
		'lift-fell': surest(
			moved('lift', () => LIFT_FELL, -1),
			{ moved: 'lift' }
		),
		'bind-short': short(sheet, 'bindMargin'),
		'seal-short': short(sheet, 'sealClearance'),
		'nose-short': short(sheet, 'rocker'),
		'net-seat-short': short(sheet, 'netSeatLoad'),
		'piston-short': short(sheet, 'piston'),
		'control-short': short(sheet, 'controlLimit')
	};
	const since = sinceOf(job);
	if (since?.overSpeed !== undefined)
		found['over-speed-event'] = { surely: Number(since.overSpeed > 0), stations: [], by: null };
	return Object.fromEntries(Object.entries(found).filter(([, one]) => one !== null)) as ByFigures;
}

/** A figure of every station against the floor it must not fall under. */
function short({ stations }: Sheet, name: FigureName): FigureEvidence | null {
	return surest(
		stations.flatMap((station): At[] => {
			const verdict = station.figures[name];
			const floor = verdict?.limits.findLast(({ side }) => side === 'floor')?.at;
			if (!isKnown(station, name) || verdict!.figure === null || floor === undefined) return [];
			const surely = 1 - surelyAbove(verdict!.figure, verdict!.uncertainty, floor);
			return [{ station: station.label, surely, value: verdict!.figure }];
		}),
		{ figure: name }
	);
}

/** Checks that the figures of a job have done, at every station. */
function doneByFigures(sheet: Sheet, beside: readonly StationComparison[]): CheckCode[] {
	const every = (trace: Trace) => beside.length > 0 && beside.every(({ moved }) => moved[trace]);
	const known = (...names: FigureName[]) =>
		sheet.stations.every((station) => names.every((name) => isKnown(station, name)));
	const done: Partial<Record<CheckCode, boolean>> = {
		heights: every('height'),
		'lash-as-found': every('lash'),
		'bench-loads': every('load'),
		margins: known('bindMargin', 'sealClearance'),
		'control-figure': known('controlLimit')
	};
	return CHECK_CODES.filter((check) => done[check]);
}
/** Whether a figure is known and judged: a bound from above alone tells nothing of control. */
const isKnown = ({ figures }: StationSheet, name: FigureName) =>
	(figures[name]?.figure ?? null) !== null && figures[name]!.state !== 'not-measured';

/**
 * What is said of the complaint of a job; null where nobody told one.
 *
 * @param beside the head then and now; empty where nothing was signed before
 */
export function diagnoseJob(
	job: Job,
	sheet: Sheet,
	beside: readonly StationComparison[],
	by?: Likelihoods
): JobDiagnosis | null {
	const complaint = sinceOf(job)?.complaint;
	if (!complaint) return null;
	const byFigures = figureEvidence(job, sheet, beside);
	const found: Partial<Record<EvidenceCode, number>> = {};
	for (const [code, { surely }] of Object.entries(byFigures)) found[code as EvidenceCode] = surely;
	const looks = newestLooks(job);
	// What was seen with the eyes stands where a figure says nothing.
	for (const [check, { seen }] of looks) {
		const here = new Set(seen.map(({ evidence }) => evidence));
		for (const code of evidenceOf(check)) found[code] ??= Number(here.has(code));
	}
	const done = [...new Set([...looks.keys(), ...doneByFigures(sheet, beside)])];
	return { complaint, found, byFigures, done, ...diagnose(complaint, found, done, by) };
}

/** The answer, to be said. */
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
