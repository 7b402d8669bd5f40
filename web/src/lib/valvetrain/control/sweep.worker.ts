/** Works out how valves move over engine speed, so that the page stays awake. */
import { expose } from 'comlink';
import {
	controlledStations,
	controlSweep,
	courseAt,
	evaluate,
	motionFound,
	type ControlSweep,
	type Course,
	type Job,
	type KeptMotion
} from '@zinc-ledger/core';

export interface SweepAsked {
	readonly job: Job;
	/** The valves asked for, and the one whose sweep is wanted whole. */
	readonly stations: readonly string[];
	readonly shown: string;
	/** Whether the springs' coils swing by themselves. */
	readonly swings: boolean;
}

/** Valves whose motion was worked out, to be kept with the job, and the sweep of the one that is looked at. */
export interface Swept {
	readonly motions: readonly KeptMotion[];
	readonly shown: { readonly station: string; readonly sweep: ControlSweep } | null;
}

const sweeper = {
	/** @param tell told how much of it is done, 0 to 1 */
	sweep: ({ job, stations, shown, swings }: SweepAsked, tell: (done: number) => void): Swept => {
		const asked = controlledStations(evaluate(job)).filter(({ station }) =>
			stations.includes(station)
		);
		const swept = asked.flatMap((one, i) => {
			const sweep = controlSweep(swings ? one : { ...one, surge: null }, (done) =>
				tell((i + done) / asked.length)
			);
			if (!sweep) return [];
			const { station, basis } = one;
			return [
				{ station, sweep, kept: { label: station, ...motionFound(sweep), basis: [...basis] } }
			];
		});
		return {
			motions: swept.map(({ kept }) => kept),
			shown: swept.find(({ station }) => station === shown) ?? null
		};
	},
	/** @param separation where the valve parts from its cam, as far as that is known */
	course: (job: Job, station: string, speed: number, separation: number | null): Course | null => {
		const found = controlledStations(evaluate(job)).find((one) => one.station === station);
		return found ? courseAt(found, speed, { separation }) : null;
	}
};
export type Sweeper = typeof sweeper;

expose(sweeper);
