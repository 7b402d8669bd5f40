/** Works out how a valve moves over engine speed, so that the page stays awake. */
import { expose } from 'comlink';
import {
	assumedTrain,
	controlledStations,
	controlSweep,
	evaluate,
	type ControlSweep,
	type Job
} from '@zinc-ledger/core';

const sweeper = {
	sweep: (job: Job, station: string, tell: (done: number) => void): ControlSweep | null => {
		const found = controlledStations(job, evaluate(job)).find((one) => one.station === station);
		const assumed = assumedTrain(job);
		return found && assumed ? controlSweep(found, assumed, tell) : null;
	}
};
export type Sweeper = typeof sweeper;

expose(sweeper);
