/**
 * Makes the demo's heads that came back: what was signed of them and their visits. What
 * happened to each is made up here; what the program says of it follows from the readings.
 *
 *   npm run demo
 */
import { readFileSync, writeFileSync } from 'node:fs';
import {
	applyToSetup,
	evaluate,
	maySign,
	medianSpring,
	mm,
	newJob,
	openItems,
	visitJob,
	type EvidenceCode,
	type Job,
	type Look,
	type Since,
	type StationEntry,
	type Sweep
} from '@zinc-ledger/core';
import { readJob, writeJob } from '@zinc-ledger/core/file';
import { normal, randomFrom, sampled } from '@zinc-ledger/core/synthetic';
import { bindOf, testerName, worked } from '../web/src/lib/springs/sets/worked.ts';
import { Bench, id, setupOf } from './demo-bench.ts';

const demo = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
};
const [six, twin] = [demo('2417-straight-six'), demo('2409-twin-cam')];
const people = [six.people[0]!, demo('2426-placed-springs').people[0]!];
const random = randomFrom(1811);
const around = (middle: number, spread: number) => middle + spread * normal(random);
/** A set of springs over its life: each made a little otherwise, each losing what it loses. */
interface MadeSet {
	readonly name: string;
	readonly job: string;
	readonly seat: string;
	readonly lift: string;
	readonly strengths: readonly number[];
	/** As its card has it, at a strength. */
	readonly spring: (strength: number) => Parameters<typeof sampled>[0];
}
const sweeps = new Map<MadeSet, Sweep[]>();

/** Tests a set: on a tester that reads so much of the truth, springs that kept so much of their load. */
function test(
	bench: Bench,
	set: MadeSet,
	tester: string,
	kept: (spring: number) => number,
	reads = 1
) {
	const card = bench.job.setup.kinds.intake.spring!;
	const done = set.strengths.map((strength, i) => {
		const tag = `T${i + 1}`;
		const noise = { height: 0.004, load: 0.0012 };
		const points = sampled(
			set.spring(strength * kept(i) * reads),
			{ step: 0.5, noise, past: 4 },
			random
		);
		const { id: sweepId, at } = bench.entry(bench.job.people[1]);
		const sweep = {
			format: 'zinc-ledger/sweep',
			version: 1,
			id: sweepId,
			at,
			set: set.name,
			tag,
			tester,
			fixture: '0 mm',
			person: people[1]!.name,
			heightUnit: 'mm',
			loadUnit: 'N',
			points: points.map(({ height, load }) => [height.toFixed(2), load.toFixed(1), 'down'])
		} as Sweep;
		sweeps.set(set, [...(sweeps.get(set) ?? []), sweep]);
		const { curve, bind } = worked(sweep, card.build);
		return { tag, curve: curve!, bind: bindOf(bind, undefined)!, tester: testerName(sweep) };
	});
	const height = mm(Number.parseFloat(set.seat) * (set.seat.endsWith('in') ? 25.4 : 1));
	const median = medianSpring(done, height)!;
	bench.job = {
		...bench.job,
		setup: applyToSetup(bench.job.setup, { name: set.name, card }, done, median, [card])
	};
}

/** The sheet that a demo job is signed with. */
const sheetOf = ({ number }: Job) => id(`sheet ${number}`);

/** A head is signed six days after it came in. */
const FINISHED = 6 * 24 * 3600 * 1000;

/** A head back in the shop, its readings to be made. */
function visit(signed: Job, number: string, takenIn: string, since: Partial<Since>): Bench {
	const job = visitJob(signed, {
		id: id(number),
		number,
		takenIn,
		visitOf: {
			job: signed.id,
			number: signed.number,
			sheet: sheetOf(signed),
			revision: 1,
			at: new Date(Date.parse(signed.takenIn) + FINISHED).toISOString()
		},
		customer: signed.customer,
		engine: signed.engine,
		heads: signed.heads
	})!;
	const bench = new Bench({ ...job, people }, takenIn, random);
	bench.job.since.push({ ...bench.entry(), ...since });
	return bench;
}

const look = (bench: Bench, check: Look['check'], seen: readonly EvidenceCode[] = []) =>
	bench.job.looks.push({
		...bench.entry(),
		check,
		seen: seen.map((evidence) => ({ evidence }))
	});

/** What a job must be before it is signed; else the demo would not load. */
function signable(bench: Bench) {
	for (const { key, severity } of openItems(bench.job, evaluate(bench.job)))
		if (severity === 'acceptance')
			bench.job.acceptances.push({
				...bench.entry(),
				finding: key,
				accepted: true,
				reason: 'Looked into, built so'
			});
	const items = openItems(bench.job, evaluate(bench.job));
	if (!maySign(items))
		throw new Error(
			`${bench.job.number}: ${JSON.stringify(items.filter((one) => one.severity !== 'info').slice(0, 3))}`
		);
}

const HEIGHT = new Map<string, number>();
const GAP = new Map<string, number>();
const LASH = new Map<string, number>();
/** What stood at a station of a job when it was made, and is read again at its visits. */
const truth = (map: Map<string, number>, of: string, make: () => number) => {
	if (!map.has(of)) map.set(of, make());
	return map.get(of)!;
};

interface Story {
	readonly number: string;
	readonly height: number;
	readonly gap: number;
	readonly lash?: Readonly<Record<StationEntry['kind'], number>>;
}
const NOTHING = () => 0;
type More = (station: StationEntry) => number;

/** Reads heights, gaps and lash of a story, so much more than they were. */
function measure(bench: Bench, story: Story, grown: More = NOTHING, lash: More = NOTHING) {
	const key = ({ label }: StationEntry) => `${story.number} ${label}`;
	const isBack = bench.job.visitOf !== undefined;
	if (story.lash)
		bench.read(
			'lash',
			(station) =>
				truth(LASH, key(station), () => story.lash![station.kind]) - grown(station) + lash(station),
			bench.job.stations,
			isBack ? 'found' : 'set'
		);
	bench.read(
		'installed-height',
		(station) => truth(HEIGHT, key(station), () => around(story.height, 0.04)) + grown(station)
	);
	bench.read(
		'seal-gap',
		(station) => truth(GAP, key(station), () => around(story.gap, 0.03)) + grown(station)
	);
}

// A straight six: two seats sank, a spring sagged, an adjuster backed off, read on another tester.
const circuit: Story = {
	number: '2403',
	height: 46.25,
	gap: 16,
	lash: { intake: 0.46, exhaust: 0.51 }
};
const circuitSet: MadeSet = {
	name: 'Brack circuit six',
	job: '2423',
	seat: '1.820 in',
	lift: '0.540 in',
	strengths: Array.from({ length: 12 }, () => around(1, 0.012)),
	spring: (strength) => ({
		type: 'dual',
		free: 55.8,
		solid: 29.21,
		load: (height: number) =>
			strength * 60.32 * Math.max(0, 55.8 - height) + 1800 * Math.max(0, 29.21 - height)
	})
};
const tagged = (bench: Bench) => {
	bench.job = {
		...bench.job,
		stations: bench.job.stations.map((entry, i) => ({ ...entry, spring: `T${i + 1}` }))
	};
};
const circuitFirst = new Bench(
	{
		...newJob({
			id: id('2403'),
			number: '2403',
			takenIn: '2026-03-16T09:05:00.000Z',
			customer: { id: id('brack'), name: 'Elin Brack', contact: 'Brack Circuit' },
			engine: {
				id: id('haldric circuit'),
				name: 'Haldric six, circuit',
				layout: six.engine.layout
			},
			setup: setupOf(six, {
				use: { duty: 'circuit', engineSpeed: 7200, workDone: 'New seats and guides' },
				lifters: 'solid',
				policies: { ...six.setup.policies, usedSprings: 'retested' }
			})
		}),
		people
	},
	'2026-03-17T08:10:00.000Z',
	random
);
circuitFirst.inspect('new');
test(circuitFirst, circuitSet, 'Bench tester 1', () => 1);
tagged(circuitFirst);
measure(circuitFirst, circuit);
signable(circuitFirst);

const circuitBack = visit(circuitFirst.job, '2423', '2026-10-19T08:20:00.000Z', {
	hours: 38,
	highestSpeed: 7600,
	overSpeed: 2,
	complaint: 'stops-pulling',
	noticed: 'Gone flat above 6500 since midsummer'
});
const SUNK: Readonly<Record<string, number>> = { '3I': 0.34, '5E': 0.28 };
measure(
	circuitBack,
	circuit,
	({ label }) => SUNK[label] ?? 0,
	({ label }) => (label === '2E' ? 0.21 : 0)
);
test(circuitBack, circuitSet, 'Bench tester 2', (i) => (i === 6 ? 0.9 : 0.995), 0.97);
look(circuitBack, 'look-under-cover');
look(circuitBack, 'ask', ['at-one-speed', 'over-speed-event']);

// A twin cam that came back three times: its springs lose a little each time.
const sprint: Story = { number: '2404', height: 35.2, gap: 12.1 };
const sprintSet: MadeSet = {
	name: 'Corvane sprint',
	job: '2422',
	seat: twin.setup.kinds.intake.spring!.seat.height,
	lift: '9.00 mm',
	strengths: Array.from({ length: 16 }, () => around(1, 0.01)),
	spring: (strength) => ({
		type: 'single',
		free: 40.75,
		solid: 22.2,
		load: (height: number) =>
			strength * 35.5 * Math.max(0, 40.75 - height) + 1500 * Math.max(0, 22.2 - height)
	})
};
const KEPT = [1, 0.984, 0.975, 0.966];
const sprintTimes = [
	['2404', '2026-01-12T08:30:00.000Z', 0],
	['2408', '2026-04-13T08:30:00.000Z', 14],
	['2415', '2026-07-06T08:30:00.000Z', 16],
	['2422', '2026-10-12T08:30:00.000Z', 15]
] as const;
const sprintJobs: Bench[] = [];
for (const [i, [number, takenIn, hours]] of sprintTimes.entries()) {
	const before = sprintJobs.at(-1);
	const bench = before
		? visit(before.job, number, takenIn, { hours, highestSpeed: 8400, overSpeed: 0 })
		: new Bench(
				{
					...newJob({
						id: id(number),
						number,
						takenIn,
						customer: { id: id('ansgar'), name: 'Ansgar Pell', contact: 'Pell Sprint' },
						engine: {
							id: id('corvane sprint'),
							name: 'Corvane 2.0 sprint',
							layout: twin.engine.layout
						},
						setup: setupOf(twin, { use: { duty: 'sprint', engineSpeed: 8200 } })
					}),
					people
				},
				takenIn,
				random
			);
	if (!before) bench.inspect('new');
	test(bench, sprintSet, 'Bench tester 1', () => KEPT[i]! + 0.002 * normal(random));
	tagged(bench);
	measure(bench, sprint);
	if (i < sprintTimes.length - 1) signable(bench);
	sprintJobs.push(bench);
}

// An engine whose valve train is in order, though its owner is sure that it floats.
const fine: Story = { number: '2406', height: 46.22, gap: 16 };
const fineFirst = new Bench(
	{
		...newJob({
			id: id('2406'),
			number: '2406',
			takenIn: '2026-02-09T10:00:00.000Z',
			customer: { id: id('tamsin'), name: 'Tamsin Orrel' },
			engine: {
				id: id('ruskan lanes'),
				name: 'Ruskan 2.2, lanes',
				layout: { ...demo('2418-light-retainers').engine.layout }
			},
			setup: setupOf(six, {
				use: { duty: 'road and lanes', engineSpeed: 5600, workDone: 'Valve job' },
				lifters: 'solid'
			})
		}),
		people
	},
	'2026-02-10T08:00:00.000Z',
	random
);
const lanes: Story = { ...fine, lash: { intake: 0.46, exhaust: 0.51 } };
const lanesSet: MadeSet = {
	...circuitSet,
	name: 'Orrel lanes',
	job: '2425',
	strengths: Array.from({ length: 8 }, () => around(1, 0.01))
};
fineFirst.inspect('new');
test(fineFirst, lanesSet, 'Bench tester 1', () => 1);
tagged(fineFirst);
measure(fineFirst, lanes);
signable(fineFirst);
const fineBack = visit(fineFirst.job, '2425', '2026-10-26T08:45:00.000Z', {
	hours: 60,
	kilometres: 3400,
	highestSpeed: 5600,
	overSpeed: 0,
	complaint: 'misfire',
	noticed: 'It floats, I can feel it, some days and not on others'
});
measure(fineBack, lanes);
test(fineBack, lanesSet, 'Bench tester 1', () => 0.996);
look(fineBack, 'ask', ['comes-and-goes', 'also-far-below']);
for (const check of [
	'look-under-cover',
	'lift-round',
	'leak-down',
	'gauge-reference',
	'cam-seen'
] as const)
	look(fineBack, check);

for (const [name, { job }] of Object.entries({
	'2403-circuit-six': circuitFirst,
	'2423-circuit-six-back': circuitBack,
	'2404-sprint': sprintJobs[0]!,
	'2408-sprint-second': sprintJobs[1]!,
	'2415-sprint-third': sprintJobs[2]!,
	'2422-sprint-fourth': sprintJobs[3]!,
	'2406-lanes': fineFirst,
	'2425-lanes-back': fineBack
})) {
	const read = readJob(writeJob(job));
	if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.problems.slice(0, 3))}`);
	writeFileSync(`demo/jobs/${name}.json`, writeJob(read.value));
}
const sets = [circuitSet, sprintSet, lanesSet].map((set) => {
	const { name, job, seat, lift, strengths } = set;
	const card = (set === sprintSet ? twin : six).setup.kinds.intake.spring!.name;
	return { name, card, job, seat, lift, tags: strengths.length, sweeps: sweeps.get(set) };
});
/** What the shop lets springs run, and the part of their life that an over-speed costs. */
const limits = [
	{ card: six.setup.kinds.intake.spring!.name, duty: null, hours: 60, overSpeed: 0.1 },
	{ card: twin.setup.kinds.intake.spring!.name, duty: 'sprint', hours: 48 }
];
writeFileSync('demo/visit-sets.json', `${JSON.stringify({ sets, limits }, null, '\t')}\n`);
console.log('the visits are made anew');
