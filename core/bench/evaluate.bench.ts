/**
 * How long a sheet of 32 stations takes, median of many runs: with card lines
 * and with tested curves. Goals: under 2 ms (tested), under 5 ms at the worst.
 *
 *   npm run bench
 */
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { evaluate, stationsOf, type Job } from '../src/index.ts';

const demo = JSON.parse(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8')) as Job;

/** The demo's twin cam as a V8 of 32 valves, each station with its three readings. */
function job32(tested: boolean): Job {
	const layout = {
		arrangement: 'V',
		cylinders: 8,
		valvesPerCylinder: 4,
		numbering: 'alternating',
		pairing: 'mirrored'
	} as const;
	const stations = stationsOf(layout).map((place) => ({ ...place, shims: ['0.40 mm'] }));
	const setup = structuredClone(demo.setup);
	if (!tested) for (const kind of Object.values(setup.kinds)) delete kind.spring!.tested;
	return {
		...demo,
		engine: { ...demo.engine, layout },
		setup,
		stations,
		readings: stations.flatMap((station, i) =>
			demo.readings
				.filter((reading) => reading.station === demo.stations[i % 16]!.label)
				.map((reading) => ({ ...reading, station: station.label }))
		)
	};
}

for (const tested of [false, true]) {
	const job = job32(tested);
	const times: number[] = [];
	for (let run = 0; run < 2000; run++) {
		const start = performance.now();
		evaluate(job);
		times.push(performance.now() - start);
	}
	times.sort((a, b) => a - b);
	const at = (part: number) => times[Math.floor(times.length * part)]!.toFixed(3);
	console.log(
		`${job.stations.length} stations, ${tested ? 'tested curves' : 'card lines'}: ` +
			`median ${at(0.5)} ms, 95 % ${at(0.95)} ms`
	);
}
