/**
 * Makes the demo's jobs that stand further on than somebody would type: built, planned, on
 * the car, here again, and the set of springs tested for one of them. Every figure follows
 * from readings that are made up here, through the core's own doors, so that nothing on the
 * screen disagrees with anything else. Made anew it makes the same.
 *
 *   npm run demo
 */
import { readFileSync, writeFileSync } from 'node:fs';
import {
	applyToSetup,
	evaluate,
	lengthOf,
	maySign,
	medianSpring,
	mm,
	newJob,
	openItems,
	type Job,
	type Setup,
	type Sweep
} from '@zinc-ledger/core';
import { readJob, writeJob } from '@zinc-ledger/core/file';
import { normal, randomFrom, sampled } from '@zinc-ledger/core/synthetic';
import { bindOf, worked } from '../web/src/lib/springs/sets/worked.ts';
import { Bench, id, setupOf } from './demo-bench.ts';

const random = randomFrom(2026);
const demo = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
};
const six = demo('2417-straight-six');
const twin = demo('2409-twin-cam');
const [RUNA, KELSO] = [six.people[0]!, demo('2426-placed-springs').people[0]!];

/** A job just taken in, at a bench. */
const taken = (job: Parameters<typeof newJob>[0], begun: string) =>
	new Bench({ ...newJob(job), people: [RUNA, KELSO] }, begun, random);

const around = (middle: number, spread: number) => middle + spread * normal(random);
/** A single that was finished and signed, and came back a season later. */
function single(number: string, takenIn: string, change: Partial<Setup>) {
	return taken(
		{
			id: id(number),
			number,
			takenIn,
			customer: { id: id('solke'), name: 'Brida Solke', contact: 'Solke Sidecars' },
			engine: {
				id: id('wexcombe'),
				name: 'Wexcombe 500 single',
				layout: {
					arrangement: 'inline',
					cylinders: 1,
					valvesPerCylinder: 2,
					numbering: 'bank-by-bank',
					pairing: 'mirrored',
					firingOrder: [1]
				}
			},
			setup: setupOf(twin, change)
		},
		takenIn
	);
}

const first = single('2402', '2026-03-09T08:40:00.000Z', {
	use: { duty: 'sidecar trials', engineSpeed: 7400, workDone: 'New guides, seats cut' }
});
first.inspect('new');
first.read('installed-height', ({ kind }) => (kind === 'intake' ? 35.42 : 34.96));
first.read('seal-gap', () => around(12.1, 0.03));
await first.plan();
first.assemble();
first.read('built-height', (station) => around(first.builtHeight(station), 0.008));
first.read('lash', ({ kind }) => (kind === 'intake' ? 0.2 : 0.28));
first.tryVacuum(() => '640 mbar');
if (!maySign(openItems(first.job, evaluate(first.job))))
	throw new Error(
		`2402 cannot be signed: ${JSON.stringify(openItems(first.job, evaluate(first.job)).filter(({ severity }) => severity !== 'info'))}`
	);

const back = single('2424', '2026-11-24T09:15:00.000Z', {
	use: { duty: 'sidecar trials', engineSpeed: 7400, workDone: 'None since it was here in March' },
	customerStatement: 'Will not pull over 6800 since the last meeting'
});

/** A flat six with a tested set, one spring of it odd; planned, and half of it built. */
const flat = taken(
	{
		id: id('2405'),
		number: '2405',
		takenIn: '2026-10-26T10:05:00.000Z',
		customer: { id: id('maren'), name: 'Maren Tolk', contact: 'Tolk Air Sports' },
		engine: {
			id: id('tessaly'),
			name: 'Tessaly 3.0 flat six',
			layout: {
				arrangement: 'flat',
				cylinders: 6,
				valvesPerCylinder: 2,
				numbering: 'bank-by-bank',
				pairing: 'mirrored',
				firingOrder: [1, 6, 2, 4, 3, 5]
			}
		},
		setup: setupOf(six, {
			use: { duty: 'airfield tug, long duty', engineSpeed: 6200, workDone: 'Both heads skimmed' }
		})
	},
	'2026-10-27T08:10:00.000Z'
);
const D37 = six.setup.kinds.intake.spring!;
const SET = 'Flat six, D-37';
/** Free height 2.197 in, 344 lbf/in, solid at 1.150 in: the card's spring, in SI. */
const spring = (strength: number) => ({
	type: 'dual' as const,
	free: 55.8,
	solid: 29.21,
	load: (height: number) =>
		strength * 60.32 * Math.max(0, 55.8 - height) + 1800 * Math.max(0, 29.21 - height)
});
const sweeps: Sweep[] = Array.from({ length: 14 }, (_, i) => {
	const tag = `T${i + 1}`;
	const points = sampled(
		spring(i === 8 ? 0.905 : around(1, 0.012)),
		{ step: 0.5, noise: { height: 0.004, load: 0.0012 }, past: 4 },
		random
	);
	return {
		format: 'zinc-ledger/sweep',
		version: 1,
		id: id(`sweep ${tag}`),
		at: new Date(Date.parse('2026-10-27T13:00:00Z') + i * 170_000).toISOString(),
		set: SET,
		tag,
		tester: 'Bench tester 1',
		fixture: '0 mm',
		person: KELSO.name,
		heightUnit: 'mm',
		loadUnit: 'N',
		points: points.map(({ height, load }) => [height.toFixed(2), load.toFixed(1), 'down'])
	} as Sweep;
});
const tested = sweeps.flatMap((sweep) => {
	const done = worked(sweep, D37.build);
	const bind = bindOf(done.bind, undefined);
	return done.curve && bind ? [{ tag: sweep.tag, curve: done.curve, bind }] : [];
});
if (tested.length !== sweeps.length) throw new Error('a sweep of the demo does not work out');
const median = medianSpring(tested, mm(lengthOf('1.820 in')))!;
flat.job = {
	...flat.job,
	setup: applyToSetup(flat.job.setup, { name: SET, card: D37 }, tested, median, [D37])
};
flat.inspect('reused');
flat.read('installed-height', () => around(46.55, 0.28));
flat.read('seal-gap', () => around(15.9, 0.05));
await flat.plan();
flat.accept('Locks tried in this retainer, bearing blued and full');
flat.assemble(0.55);

/** Five valves a cylinder, read half way. */
const five = taken(
	{
		id: id('2411'),
		number: '2411',
		takenIn: '2026-11-05T14:20:00.000Z',
		customer: { id: id('odell'), name: 'Odell Framp', contact: 'Framp & Sons' },
		engine: {
			id: id('corvane'),
			name: 'Corvane 1.8 five-valve',
			layout: {
				arrangement: 'inline',
				cylinders: 4,
				valvesPerCylinder: 5,
				numbering: 'bank-by-bank',
				pairing: 'mirrored',
				firingOrder: [1, 3, 4, 2]
			}
		},
		setup: setupOf(twin, {
			use: { duty: 'track days', engineSpeed: 8200, workDone: 'Valve job, all twenty' }
		})
	},
	'2026-11-06T08:00:00.000Z'
);
five.inspect('reused');
five.read(
	'installed-height',
	({ kind }) => around(kind === 'intake' ? 34.6 : 34.55, 0.06),
	five.job.stations.slice(0, 11)
);

/** Stem seals on the car: a cylinder is held up by air while its springs are off. */
const car = taken(
	{
		id: id('2414'),
		number: '2414',
		takenIn: '2026-11-12T07:50:00.000Z',
		customer: { id: id('hale'), name: 'Petra Hale' },
		engine: {
			id: id('ruskan'),
			name: 'Ruskan 2.2 pushrod four',
			layout: {
				arrangement: 'inline',
				cylinders: 4,
				valvesPerCylinder: 2,
				numbering: 'bank-by-bank',
				pairing: 'mirrored',
				firingOrder: [1, 3, 4, 2]
			}
		},
		setup: setupOf(six, {
			use: {
				duty: 'road, towing',
				engineSpeed: 5800,
				workDone: 'Head stays on: springs and seals'
			},
			workLocation: 'vehicle'
		})
	},
	'2026-11-12T08:30:00.000Z'
);
car.inspect('reused');
car.read('installed-height', () => around(46.22, 0.05), car.job.stations.slice(0, 4));
car.read('seal-gap', () => around(16, 0.05), car.job.stations.slice(0, 4));
car.accept('Locks tried in this retainer, bearing blued and full');
car.assemble(0.3);

/** A cam whose durations say at which lift they are meant, so that its lobe can be made up. */
const drawnCam = (name: string, lobe: string): Setup['cam'] => {
	const one = {
		lobe,
		duration: 264,
		durationAt: '0.020 in',
		second: { duration: 228, at: '0.050 in' }
	};
	return {
		name,
		maker: 'Tarn & Sedge',
		intake: { ...one, opens: 24, closes: 60 },
		exhaust: { ...one, opens: 64, closes: 20 }
	};
};
const four = {
	arrangement: 'inline',
	cylinders: 4,
	valvesPerCylinder: 2,
	numbering: 'bank-by-bank',
	pairing: 'mirrored',
	firingOrder: [1, 3, 4, 2]
} as const;

/** Its springs just hold the valves at the speed it is turned to: a few grams decide. */
const light = taken(
	{
		id: id('2418'),
		number: '2418',
		takenIn: '2026-11-17T13:10:00.000Z',
		customer: { id: id('isolde'), name: 'Isolde Marn', contact: 'Marn & Daughter' },
		engine: { id: id('ruskan hill'), name: 'Ruskan 2.2, hill', layout: four },
		setup: {
			...setupOf(six, {
				use: { duty: 'hill climb', engineSpeed: 6900, workDone: 'Seats cut, guides new' }
			}),
			cam: drawnCam('Tarn 264 hill, with its lifts', '0.360 in')!,
			train: 'pushrod',
			compression: { bore: '92 mm', stroke: '83 mm', ratio: 11.2, chamberOpen: 1 }
		}
	},
	'2026-11-18T08:05:00.000Z'
);
/** Twenty-eight pounds of boost behind intake valves whose springs were chosen without it. */
const boosted = taken(
	{
		id: id('2420'),
		number: '2420',
		takenIn: '2026-11-19T09:40:00.000Z',
		customer: { id: id('corin'), name: 'Corin Vask' },
		engine: { id: id('ruskan blown'), name: 'Ruskan 2.2, blown', layout: four },
		setup: setupOf(six, {
			use: { duty: 'sprint', engineSpeed: 6000, boosted: true, workDone: 'Valve job' }
		})
	},
	'2026-11-19T13:00:00.000Z'
);
for (const kind of ['intake', 'exhaust'] as const)
	light.job.setup.kinds[kind] = { ...light.job.setup.kinds[kind], pushrodMass: '58 g' };
boosted.job.setup.kinds.intake = { ...boosted.job.setup.kinds.intake, portPressure: '28 psi' };
for (const bench of [light, boosted]) {
	bench.inspect('reused');
	bench.read('installed-height', () => around(46.22, 0.05));
	bench.read('seal-gap', () => around(16, 0.05));
	bench.accept('Locks tried in this retainer, bearing blued and full');
}

for (const [name, { job }] of Object.entries({
	'2402-single': first,
	'2405-flat-six': flat,
	'2411-five-valve': five,
	'2414-on-the-car': car,
	'2424-single-again': back,
	'2418-light-retainers': light,
	'2420-boosted': boosted
})) {
	const text = writeJob(job);
	const read = readJob(text);
	if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.problems.slice(0, 3))}`);
	// In the order of the schema, as the program itself would write it.
	writeFileSync(`demo/jobs/${name}.json`, writeJob(read.value));
}
const sets = [
	{
		name: 'Straight six, D-37',
		card: D37.name,
		job: '2417',
		seat: '1.820 in',
		lift: '0.540 in',
		tags: 12
	},
	{ name: SET, card: D37.name, job: '2405', seat: '1.820 in', lift: '0.540 in', tags: 14, sweeps }
];
writeFileSync('demo/sets.json', `${JSON.stringify({ sets }, null, '\t')}\n`);
console.log('the demo is made anew');
