/** The program as the trials with made-up heads ask it: its own evidence, diagnosis and stops, from what checks have shown. */
import { readFileSync } from 'node:fs';
import { readJob } from '../../../../job/document/file.ts';
import type { Job, Look } from '../../../../job/document/index.ts';
import type { Sheet } from '../../../../sheet/evaluation/index.ts';
import { jobLimits } from '../../../../sheet/figures/index.ts';
import {
	CAUSES,
	diagnose,
	EVIDENCE,
	weigh,
	type CheckCode,
	type EvidenceCode
} from '../../../diagnosis/index.ts';
import { explainedChanges, type StationComparison } from '../../changes/index.ts';
import { doNotRun } from '../../stops/index.ts';
import { changeEvidence } from '../figure-evidence.ts';
import { condemnedBy, stationsOf } from '../locate.ts';
import type { MadeUpHead, Revealed } from './made-up-heads.ts';
import type { Program } from './trials.ts';

const read = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const demo = read.value;
const { limits } = jobLimits(demo);
/** Testers that read a reference spring within this part of each other agree. */
const AGREES = 0.02;

/** What the checks so far have shown of each valve's changes, as the program compares them. */
function compared(head: MadeUpHead, revealed: readonly Revealed[]): StationComparison[] {
	const reference = revealed.find((one) => one.reference !== undefined)?.reference ?? null;
	const isWarm = revealed.some(({ isAsWarm }) => isAsWarm === false);
	return head.stations.map((station) => {
		const { load, lash, ...rest }: StationComparison['moved'] = Object.assign(
			{},
			...revealed.map(({ moved }) => moved.get(station.station) ?? {})
		);
		// Loads on a tester whose reference is known are corrected before they are compared.
		const now = load && {
			value: load.now.value / (reference ?? 1),
			uncertainty: load.now.uncertainty
		};
		return {
			...station,
			moved: {
				...rest,
				...(lash && { lash: { ...lash, isOtherTemperature: isWarm } }),
				...(load && {
					load: {
						...load,
						now: now!,
						change: { ...load.change, by: now!.value - load.then.value }
					}
				})
			}
		};
	});
}

/** A record of what a check showed, as somebody would save it. */
function recordOf(check: CheckCode, { evidence }: Revealed, n: number): Look {
	return {
		id: String(n),
		check,
		seen: (Object.entries(evidence) as [EvidenceCode, { surely: number; stations: string[] }][])
			.filter(([code, { surely }]) => surely > 0.5 && EVIDENCE[code].type === 'mark')
			.map(([code, { stations }]) => ({ evidence: code, stations })),
		person: 'somebody',
		at: '2026-11-20T08:00:00.000Z'
	};
}

/** Figures whose evidence in these trials means that parts collide. */
const COLLIDES = {
	'bind-short': 'bindMargin',
	'seal-short': 'sealClearance',
	'nose-short': 'rocker',
	'net-seat-short': 'netSeatLoad'
} as const;

/** A sheet with nothing but the figures that the checks have shown to be below zero. */
const sheetOf = (head: MadeUpHead, revealed: readonly Revealed[]): Sheet =>
	({
		fit: [],
		stations: head.stations.map(({ station }) => ({
			label: station,
			seen: null,
			figures: Object.fromEntries(
				Object.entries(COLLIDES).flatMap(([code, name]) =>
					revealed.some(({ evidence }) =>
						evidence[code as keyof typeof COLLIDES]?.stations.includes(station)
					)
						? [[name, { figure: -0.2 }]]
						: []
				)
			)
		}))
	}) as unknown as Sheet;

export const program: Program = (head, revealed, done) => {
	const reference = revealed.find((one) => one.reference !== undefined)?.reference ?? null;
	const comparison = explainedChanges(compared(head, revealed), reference);
	const byChanges = changeEvidence(comparison, limits, reference);
	const found: Partial<Record<EvidenceCode, number>> = {};
	const at = new Map<EvidenceCode, readonly string[]>();
	for (const { evidence } of revealed)
		for (const [code, { surely, stations }] of Object.entries(evidence)) {
			found[code as EvidenceCode] = surely;
			at.set(code as EvidenceCode, stations);
		}
	if (reference !== null) found['reference-off'] = Number(Math.abs(reference - 1) > AGREES);
	for (const [code, { surely, stations }] of Object.entries(byChanges)) {
		found[code as EvidenceCode] = surely;
		at.set(code as EvidenceCode, stations);
	}
	const { answer, named, next } = diagnose(head.complaint, found, done);
	const beliefs = weigh(head.complaint, found);
	const located = { found, at };
	const job = {
		...demo,
		stations: head.stations.map(({ station, kind }) => ({
			...demo.stations[0]!,
			label: station,
			kind
		})),
		looks: revealed.map((one, i) => recordOf(done[i]!, one, i))
	} satisfies Job;
	return {
		beliefs: CAUSES.map((cause) => ({ cause, belief: beliefs[cause] })).toSorted(
			(a, b) => b.belief - a.belief
		),
		named: [
			...named.map(({ cause, or }) => ({
				causes: [cause, ...or],
				stations: stationsOf(cause, located)
			})),
			...(answer.type === 'elsewhere' ? [{ causes: ['elsewhere' as const], stations: [] }] : [])
		],
		condemned: condemnedBy(named, located),
		stops: doNotRun(job, sheetOf(head, revealed), comparison).flatMap(({ stations }) => stations),
		next: next?.check ?? null
	};
};
