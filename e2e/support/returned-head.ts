/** Made-up return visits of one demo head, to be imported: what was read then, changed by what happened to it. */
import { readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { loadOf, lengthOf, type Job } from '@zinc-ledger/core';

const read = (name: string) =>
	JSON.parse(readFileSync(new URL(`../../demo/jobs/${name}.json`, import.meta.url), 'utf8')) as Job;

/** Changes since the sheet was signed, in thousandths of an inch and as parts of a load. */
export interface Happened {
	readonly complaint: NonNullable<Job['since'][number]['complaint']>;
	readonly height?: Readonly<Record<string, number>>;
	readonly gap?: Readonly<Record<string, number>>;
	readonly lash?: Readonly<Record<string, number>>;
	/** What a spring's bench loads are multiplied by, by station; "all" for the rest. */
	readonly load?: Readonly<Record<string, number>>;
	/** Whether the springs were tested on the tester of then. */
	readonly sameTester?: boolean;
	readonly engine?: 'cold' | 'hot';
	readonly looks?: readonly {
		readonly check: Job['looks'][number]['check'];
		readonly seen: readonly (readonly [evidence: string, ...stations: string[]])[];
	}[];
}

/** The last reading of each quantity at each station of the signed job. */
function lastReadings(job: Job): Map<string, string> {
	return new Map(job.readings.map((one) => [`${one.quantity} ${one.station}`, one.read]));
}

const THOUSANDTH = 0.0254;

/** A job of the head that came back like this. */
export function returnedHead(number: string, happened: Happened): Job {
	const [then, back] = [read('2403-circuit-six'), read('2423-circuit-six-back')];
	const last = lastReadings(then);
	const shifts = {
		'installed-height': happened.height ?? {},
		'seal-gap': happened.gap ?? happened.height ?? {},
		lash: happened.lash ?? {}
	} as Readonly<Record<string, Readonly<Record<string, number>>>>;
	const readings = back.readings.map((reading) => {
		const shift = shifts[reading.quantity]![reading.station] ?? shifts[reading.quantity]!.all ?? 0;
		const before = lengthOf(last.get(`${reading.quantity} ${reading.station}`)!);
		const engine = reading.quantity === 'lash' ? { engine: happened.engine ?? 'cold' } : {};
		return {
			...reading,
			...engine,
			id: randomUUID(),
			read: `${((before + shift * THOUSANDTH) / 25.4).toFixed(3)} in`
		};
	});
	const stationOf = new Map(back.stations.map(({ label, spring }) => [spring, label]));
	const springs = then.setup.springs?.map((spring) => {
		const station = stationOf.get(spring.tag)!;
		const by = happened.load?.[station] ?? happened.load?.all ?? 1;
		const tester = happened.sameTester === false ? 'Bench tester 2' : spring.tester;
		return {
			...spring,
			...(tester !== undefined && { tester }),
			points: spring.points.map(({ height, load }) => ({
				height,
				load: `${((loadOf(load) * by) / 4.4482216).toFixed(3)} lbf`
			}))
		};
	});
	const at = back.since[0]!.at;
	const { person } = back.since[0]!;
	return {
		...back,
		id: randomUUID(),
		number,
		readings,
		voids: [],
		setup: { ...back.setup, ...(springs && { springs }) },
		since: [
			{
				id: randomUUID(),
				hours: 30,
				highestSpeed: 7000,
				complaint: happened.complaint,
				person,
				at
			}
		],
		looks: (happened.looks ?? []).map(({ check, seen }) => ({
			id: randomUUID(),
			check,
			seen: seen.map(([evidence, ...stations]) => ({
				evidence: evidence as Job['looks'][number]['seen'][number]['evidence'],
				...(stations.length > 0 && { stations })
			})),
			person,
			at
		}))
	};
}
