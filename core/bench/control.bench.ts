/** What asking whether a spring controls its valve costs: sixty engine speeds, and the rigid limit of a head. */
import { readFileSync } from 'node:fs';
import {
	cardCurve,
	evaluate,
	kilograms,
	madeUpLobe,
	mm,
	motionsAt,
	newtons,
	newtonsPerMm,
	rigidLimit,
	type CompliantTrain,
	type Job
} from '../src/index.ts';

const SPEEDS = 60;
const STATIONS = 32;
const ROUNDS = 31;

const train: CompliantTrain = {
	lobe: madeUpLobe({ lift: mm(8), durations: [{ lift: mm(1.27), degrees: 250 }] }),
	ratio: 1.5,
	lash: mm(0),
	curve: cardCurve({ height: mm(46), load: newtons(550) }, newtonsPerMm(60), mm(25)),
	height: mm(46),
	mass: kilograms(0.24),
	stiffness: 4e6,
	damping: 600,
	seat: { stiffness: 5e7, damping: 800 }
};

/** Milliseconds of the middle of several rounds. */
function middle(work: () => void): number {
	const times = Array.from({ length: ROUNDS }, () => {
		const began = performance.now();
		work();
		return performance.now() - began;
	});
	return medianBand(times);
}

const medianBand = (list: readonly number[]) =>
	list.toSorted((a, b) => a - b)[(list.length - 1) / 2]!;

const job = JSON.parse(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8')) as Job;
const { cam: _, ...camless } = job.setup;
const EACH = 10;
const TURNS = 61;
/** Milliseconds of one sheet of a job. */
const sheetOf = (of: Job) => {
	const began = performance.now();
	for (let i = 0; i < EACH; i++) evaluate(of);
	return (performance.now() - began) / EACH;
};
/** The middle of what the figure adds to a sheet, the two sheets worked out turn about. */
const added =
	(Math.max(
		0,
		medianBand(
			Array.from({ length: TURNS }, () => {
				const without = sheetOf({ ...job, setup: camless });
				return sheetOf(job) - without;
			})
		)
	) /
		job.stations.length) *
	STATIONS;
const speeds = Array.from({ length: SPEEDS }, (_, i) => 2000 + (i * 7000) / (SPEEDS - 1));
const sweep = middle(() => {
	motionsAt(train, speeds);
});
const surging = middle(() => {
	const surge = { mass: kilograms(0.09), frequency: 410, damping: 0.03 };
	motionsAt({ ...train, surge }, speeds);
});
const rigid = middle(() => {
	for (let i = 0; i < STATIONS; i++) rigidLimit(train);
});
console.info(`${SPEEDS} engine speeds without surge: ${sweep.toFixed(0)} ms (wanted under 150)`);
console.info(`${SPEEDS} engine speeds with surge: ${surging.toFixed(0)} ms (wanted under 400)`);
console.info(`rigid limit of ${STATIONS} stations: ${rigid.toFixed(2)} ms (wanted under 1)`);
console.info(
	`control limit of ${STATIONS} stations in evaluate adds ${added.toFixed(2)} ms (wanted under 1)`
);
