/**
 * How long a sheet of 32 stations takes, median of many runs: with card lines, with
 * tested curves, and with parts and a tested spring of its own at every station.
 * Goals: under 2 ms shared, under 4 ms with their own.
 *
 *   npm run bench
 */
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { evaluate, headsOf, stationsOf, type Job } from '../src/index.ts';
import { LAYOUT } from './truth/head.ts';

const demo = JSON.parse(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8')) as Job;

/** The demo's twin cam as a V8 of 32 valves, each station with its three readings. */
function job32(tested: boolean): Job {
	const stations = stationsOf(LAYOUT).map((place) => ({ ...place, shims: ['0.40 mm'] }));
	const setup = structuredClone(demo.setup);
	if (!tested) for (const kind of Object.values(setup.kinds)) delete kind.spring!.tested;
	return {
		...demo,
		engine: { ...demo.engine, layout: LAYOUT },
		heads: [...headsOf(LAYOUT)],
		setup,
		stations,
		readings: stations.flatMap((station, i) =>
			demo.readings
				.filter((reading) => reading.station === demo.stations[i % 16]!.label)
				.map((reading) => ({ ...reading, station: station.label }))
		)
	};
}

/** The same with parts of its own at every station, and a tagged, tested spring of its own. */
function ownParts(): Job {
	const job = job32(true);
	const { intake, exhaust } = job.setup.kinds;
	const springs = job.stations.map((station, i) => {
		const { id, tested } = { intake, exhaust }[station.kind].spring!;
		const points = tested!.points.map(({ height, load }) => {
			const [digits, unit] = load.split(' ');
			return { height, load: `${(Number(digits) * (1 + 0.002 * i)).toFixed(2)} ${unit}` };
		});
		return { tag: `T${i + 1}`, set: 'bench', card: id, points, bind: tested!.bind ?? '24.00 mm' };
	});
	return {
		...job,
		setup: { ...job.setup, springs },
		stations: job.stations.map((station, i) => ({
			...station,
			spring: `T${i + 1}`,
			parts: { locks: { ...{ intake, exhaust }[station.kind].locks!, name: `own ${i}` } }
		}))
	};
}

const JOBS = {
	'card lines, shared': job32(false),
	'tested curves, shared': job32(true),
	'tested curves, parts and springs of their own': ownParts()
};
for (const [name, job] of Object.entries(JOBS)) {
	const times: number[] = [];
	for (let run = 0; run < 2000; run++) {
		const start = performance.now();
		evaluate(job);
		times.push(performance.now() - start);
	}
	times.sort((a, b) => a - b);
	const at = (part: number) => times[Math.floor(times.length * part)]!.toFixed(3);
	console.log(
		`${job.stations.length} stations, ${name}: median ${at(0.5)} ms, 95 % ${at(0.95)} ms`
	);
}
