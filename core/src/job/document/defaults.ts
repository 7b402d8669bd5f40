/**
 * What a new job starts with: the shop's defaults, each of which the job can change. The default
 * limits of docs/trade/sheet.md are here and nowhere else.
 */
import { headsOf, stationsOf } from '../../foundation/station/index.ts';
import {
	FitLimits,
	FORMAT,
	VERSION,
	type Job,
	type KindSetup,
	type Limits,
	type Setup
} from './schema.ts';
import { usualInspectedLimits } from './usual-inspected.ts';
import type { LengthUnit } from '../../foundation/units/index.ts';

const LIMITS: Readonly<Record<LengthUnit, Omit<Limits, 'inspected'>>> = {
	in: {
		heightTolerance: '0.005 in',
		heightStop: '0.030 in',
		bindFloor: '0.050 in',
		bindAim: '0.060 in',
		bindMarginMax: '0.150 in',
		sealFloor: '0.050 in',
		rockerFloor: '0.030 in',
		loadTolerance: 0.1,
		deadBand: '0.010 in',
		maxShims: 2,
		lashWatch: '0.003 in',
		lashStop: '0.006 in',
		preloadTolerance: '0.010 in',
		pistonFloors: { intake: '0.080 in', exhaust: '0.100 in' },
		vacuum: { min: '15 inHg', seconds: 10 },
		outlierMin: '0.010 in',
		outlierFactor: 3.5,
		fit: {
			stemMatch: '0.004 in',
			sealClearance: '0.040 in',
			damperClearance: '0.100 in',
			landingClearance: '0.040 in',
			railTip: '0.080 in',
			highLoad: '400 lbf',
			singleSpringMaxLoad: '290 lbf',
			singleSpringMaxRpm: 7500
		}
	},
	mm: {
		heightTolerance: '0.13 mm',
		heightStop: '0.75 mm',
		bindFloor: '1.27 mm',
		bindAim: '1.52 mm',
		bindMarginMax: '3.80 mm',
		sealFloor: '1.27 mm',
		rockerFloor: '0.76 mm',
		loadTolerance: 0.1,
		deadBand: '0.25 mm',
		maxShims: 2,
		lashWatch: '0.08 mm',
		lashStop: '0.15 mm',
		preloadTolerance: '0.25 mm',
		pistonFloors: { intake: '2.03 mm', exhaust: '2.54 mm' },
		vacuum: { min: '500 mbar', seconds: 10 },
		outlierMin: '0.25 mm',
		outlierFactor: 3.5,
		fit: FitLimits.parse({})
	}
};

const SHIMS: Readonly<Record<LengthUnit, readonly string[]>> = {
	in: ['0.015 in', '0.030 in', '0.060 in'],
	mm: ['0.40 mm', '0.75 mm', '1.50 mm']
};

/** The limits a job starts with, written in the units the shop works in. */
export function defaultLimits(unit: LengthUnit): Limits {
	const limits = LIMITS[unit];
	return {
		...limits,
		pistonFloors: { ...limits.pistonFloors },
		vacuum: { ...limits.vacuum },
		fit: { ...limits.fit },
		inspected: usualInspectedLimits(unit)
	};
}

/** The set-up of a job just taken in: nothing known of its parts, aims at card height. */
export function defaultSetup(unit: LengthUnit, duty: string): Setup {
	const kind: KindSetup = { aim: { method: 'card-height' } };
	return {
		use: { duty },
		lifters: 'solid',
		kinds: { intake: { ...kind }, exhaust: { ...kind } },
		limits: defaultLimits(unit),
		shimStock: SHIMS[unit].map((thickness) => ({ thickness })),
		measuringOrder: 'by-cylinder'
	};
}

/** A job as it is taken in: its heads and stations from the layout, nothing measured. */
export function newJob(taken: {
	id: string;
	number: string;
	takenIn: string;
	customer: Job['customer'];
	engine: Job['engine'];
	setup: Setup;
	/** The one head that came in, where the other of the engine is elsewhere; all of them when left out. */
	onlyHead?: string;
}): Job {
	const { onlyHead, ...rest } = taken;
	const { layout } = taken.engine;
	const isHere = (head: string) => onlyHead === undefined || head === onlyHead;
	return {
		format: FORMAT,
		version: VERSION,
		...rest,
		heads: headsOf(layout).filter(({ id }) => isHere(id)),
		stations: stationsOf(layout)
			.filter(({ head }) => isHere(head))
			.map((place) => ({ ...place, shims: [] })),
		people: [],
		readings: [],
		voids: [],
		decisions: [],
		inspections: [],
		headWork: [],
		acceptances: [],
		plans: [],
		assembly: [],
		checks: [],
		notes: [],
		asFound: [],
		motions: [],
		since: [],
		looks: [],
		trials: [],
		outcomes: []
	};
}
