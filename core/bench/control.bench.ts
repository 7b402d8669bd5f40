/** What asking whether a spring controls its valve costs: sixty engine speeds, and the rigid limit of a head. */
import {
	cardCurve,
	kilograms,
	madeUpLobe,
	mm,
	motionsAt,
	newtons,
	newtonsPerMm,
	rigidLimit,
	type CompliantTrain
} from '../src/index.ts';

const SPEEDS = 60;
const STATIONS = 32;
const ROUNDS = 9;

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
	return times.toSorted((a, b) => a - b)[(ROUNDS - 1) / 2]!;
}

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
