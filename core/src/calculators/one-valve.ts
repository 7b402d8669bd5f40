/**
 * One valve, for a question on the phone or one valve done on the car: a job with one station, so that its
 * figures and its verdict are those of any sheet. Source: docs/trade/calculators.md.
 */
import {
	newJob,
	NOTHING_IN_PLACE,
	type Job,
	type KindSetup,
	type Setup
} from '../job/document/index.ts';
import type { SpringCard } from '../parts/part/index.ts';
import { worst, type State } from '../foundation/verdict/index.ts';
import type { Need } from '../foundation/message/index.ts';
import type { Kind } from '../foundation/station/index.ts';
import { evaluate } from '../sheet/evaluation/index.ts';
import type { StationSheet } from '../sheet/figures/index.ts';

/** What is known of the valve; lengths and loads as texts with their unit. */
export interface OneValve {
	readonly kind: Kind;
	readonly spring: SpringCard | null;
	/** At the valve. */
	readonly lift: string | null;
	readonly height: string | null;
	readonly gap: string | null;
	/** What it was read with; null where it was told by phone, which is unverified. */
	readonly gauge: Job['readings'][number]['gauge'] | null;
}

/** Who asks, and when, with the ids that the job and its readings are to have. */
export interface OneValveFrame {
	readonly number: string;
	readonly customer: Job['customer'];
	readonly engine: string;
	readonly person: Job['people'][number];
	readonly at: string;
	readonly newId: () => string;
}

/** A spring known by two loads and its coil bind, as texts with their unit. */
export interface SpringFigures {
	readonly height: string;
	readonly load: string;
	readonly openHeight: string;
	readonly openLoad: string;
	readonly bind: string;
}

/**
 * Returns the card of a spring that is known by its figures alone.
 *
 * @param source where they came from: what was told by phone stays the customer's word, in a job as well
 */
export const springFromFigures = (
	{ height, load, openHeight, openLoad, bind }: SpringFigures,
	source: SpringCard['source'],
	id: string
): SpringCard => ({
	id,
	name: 'By its figures',
	source,
	seat: { height, load },
	open: { height: openHeight, load: openLoad },
	bind
});

/** What a height told by phone counts as read with: a rule, until somebody reads it. */
const BY_PHONE = { name: 'Told by phone', resolution: '0.001 in', correction: '0 mm' } as const;

/**
 * Returns a job of one valve that asks for nothing about any other.
 *
 * @param setup what the shop's jobs start with
 */
export function oneValveJob(valve: OneValve, setup: Setup, frame: OneValveFrame): Job {
	const { kind, spring, lift, gauge } = valve;
	const source = gauge ? 'data-sheet' : 'customer';
	const parts: KindSetup = {
		...setup.kinds[kind],
		...(spring && { spring }),
		...(lift && { lift: { type: 'valve', valve: lift, source } })
	};
	const whole = newJob({
		id: frame.newId(),
		number: frame.number,
		takenIn: frame.at,
		customer: frame.customer,
		engine: {
			id: frame.newId(),
			name: frame.engine,
			layout: {
				arrangement: 'inline',
				cylinders: 1,
				valvesPerCylinder: 2,
				numbering: 'bank-by-bank',
				pairing: 'mirrored'
			}
		},
		setup: {
			...setup,
			kinds: { ...setup.kinds, [kind]: parts }
		}
	});
	const station = whole.stations.find((one) => one.kind === kind)!;
	const reading = (quantity: 'installed-height' | 'seal-gap', read: string) => ({
		id: frame.newId(),
		station: station.label,
		quantity,
		read,
		gauge: gauge ?? BY_PHONE,
		inPlace: NOTHING_IN_PLACE,
		...(!gauge && { from: 'phone' as const }),
		person: frame.person.id,
		at: frame.at
	});
	return {
		...whole,
		people: [frame.person],
		stations: [station],
		readings: [
			...(valve.height ? [reading('installed-height', valve.height)] : []),
			...(valve.gap ? [reading('seal-gap', valve.gap)] : [])
		]
	};
}

/** The figures that a verdict on one valve stands on. */
const FIGURES = ['height', 'seatLoad', 'openLoad', 'bindMargin', 'sealClearance'] as const;
/** Without one of these nothing can be said of a valve. */
const NEEDED = ['height', 'seatLoad', 'openLoad', 'bindMargin'] as const;

export interface OneValveAnswer {
	readonly station: StationSheet;
	readonly job: Job;
	/** The worst of its figures; not measured while one that it needs is not known. */
	readonly state: State;
	/** What must still be entered, each once. */
	readonly needs: readonly Need[];
}

/** Returns what a sheet says of the one valve of a job. */
export function oneValveAnswer(job: Job): OneValveAnswer {
	const station = evaluate(job).stations[0]!;
	const { figures } = station;
	const known = FIGURES.map((name) => figures[name].state).filter(
		(state) => state !== 'not-measured'
	);
	const state = worst(known);
	const isKnown = NEEDED.every((name) => figures[name].state !== 'not-measured');
	const needs = NEEDED.flatMap((name) => figures[name].needs);
	return {
		station,
		job,
		needs: needs.filter(({ code }, i) => needs.findIndex((one) => one.code === code) === i),
		// A stop needs no further figure; anything less waits until all are known.
		state: isKnown || state === 'stop' ? state : 'not-measured'
	};
}
