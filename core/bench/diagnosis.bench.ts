/** How the diagnosis does on made-up heads with known faults: three seeds, the checks done as it proposes them. */
import { readFileSync } from 'node:fs';
import {
	CAUSES,
	diagnose,
	figureEvidence,
	weigh,
	type EvidenceCode,
	type Job
} from '../src/index.ts';
import type { Sheet } from '../src/sheet/evaluation/index.ts';
import { madeUpHeads } from '../src/visits/on-job/diagnosis/test/made-up-heads.ts';
import { tally, worked, type Program } from '../src/visits/on-job/diagnosis/test/trials.ts';

const HEADS = 800;
const SEEDS = [36, 136, 236];
const job = JSON.parse(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8')) as Job;
const blank = { stations: [] } as unknown as Sheet;

const program: Program = (head, revealed, done) => {
	const stations = head.stations.map((station) => ({
		...station,
		moved: Object.assign({}, ...revealed.map(({ moved }) => moved.get(station.station) ?? {}))
	}));
	const byFigures = figureEvidence(job, blank, stations);
	const found: Partial<Record<EvidenceCode, number>> = {};
	for (const { evidence, reference } of revealed) {
		for (const [code, { surely }] of Object.entries(evidence)) found[code as EvidenceCode] = surely;
		if (reference !== undefined) found['reference-off'] = Number(Math.abs(reference - 1) > 0.02);
	}
	for (const [code, { surely }] of Object.entries(byFigures)) found[code as EvidenceCode] = surely;
	const { answer, next } = diagnose(head.complaint, found, done);
	const beliefs = weigh(head.complaint, found);
	const named =
		answer.type === 'cause'
			? [answer.cause]
			: answer.type === 'elsewhere'
				? (['elsewhere'] as const)
				: [];
	const low = byFigures['bench-low']?.stations ?? [];
	return {
		beliefs: CAUSES.map((cause) => ({ cause, belief: beliefs[cause] })).toSorted(
			(a, b) => b.belief - a.belief
		),
		named: named.map((cause) => ({ cause, stations: [] })),
		condemned: named.includes('spring-lost-load' as never) ? low : [],
		stops: [],
		next: next?.check ?? null
	};
};

for (const seed of SEEDS) {
	const began = performance.now();
	const all = madeUpHeads(HEADS, seed).map((head) => worked(head, program));
	console.info(seed, `${((performance.now() - began) / 1000).toFixed(1)} s`, tally(all));
}
