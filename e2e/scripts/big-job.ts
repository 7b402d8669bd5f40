/** A made-up job of 32 stations, for what is timed. */
import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newJob, stationsOf, type Job } from '@zinc-ledger/core';
import { v7 as uuid } from 'uuid';

/** Writes the job to a file that the list of jobs takes in. */
export function importBigJob(name: string): { job: Job; file: string } {
	const demo = JSON.parse(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8')) as Job;
	const layout = {
		...demo.engine.layout,
		arrangement: 'V' as const,
		cylinders: 8,
		firingOrder: [1, 8, 4, 3, 6, 5, 7, 2]
	};
	const job = newJob({
		id: uuid(),
		number: `bench-${Date.now()}`,
		takenIn: new Date().toISOString(),
		customer: { ...demo.customer, id: uuid() },
		engine: { id: uuid(), name, layout },
		setup: demo.setup
	});
	job.people = demo.people;
	job.readings = stationsOf(layout).flatMap((station, i) =>
		demo.readings
			.filter((reading) => reading.station === demo.stations[i % 16]!.label)
			.map((reading) => ({ ...reading, id: uuid(), station: station.label }))
	);
	const file = join(tmpdir(), `${job.number}.json`);
	writeFileSync(file, JSON.stringify(job));
	return { job, file };
}
