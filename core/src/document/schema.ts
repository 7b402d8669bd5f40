/**
 * The job document: everything that is known about one job, as plain data.
 * The schema is the one source of the type, of parsing and of the published
 * JSON Schema. Quantities are texts that keep the digits as read and name
 * their unit ("1.820 in"); nothing derived is stored here.
 */
import { z } from 'zod';
import { issue } from '../message/issue.ts';
import { LENGTH_TEXT, lengthOf } from '../units/quantity.ts';
import {
	Id,
	Length,
	Line,
	Load,
	Measured,
	Moment,
	Name,
	PositiveSize,
	Size,
	Vacuum,
	Volume
} from '../units/schema.ts';
import {
	ARRANGEMENTS,
	CASTINGS,
	FIRST_VALVES,
	KINDS,
	NUMBERINGS,
	PAIRINGS,
	layoutProblem
} from '../station/layout.ts';
import { MEASURING_ORDERS } from '../station/order.ts';
import { ADJUSTERS, METALS_OF_ENGINE } from '../lash/adjuster.ts';
import { ENGINE_STATES } from '../lash/lash.ts';
import { MOST_SECONDS, PASSAGES, PISTON_METHODS } from './check-words.ts';
import { SOURCES } from '../verdict/verdict.ts';
import {
	Cam,
	LashCap,
	Lifter,
	Locator,
	Locks,
	Retainer,
	Rocker,
	Seal,
	SpringCard,
	Valve
} from '../part/schema.ts';
import { GROOVES_SEEN, SEAT_MARKS, STEMS_SEEN, TIPS_SEEN } from '../inspection/inspection.ts';
import { WORKS } from './head-work.ts';
import { HISTORY } from './append-only-lists.ts';
import { NOTE_SUBJECTS, POLICIES } from './policies.ts';
import { isLoad, QUANTITIES } from './quantities.ts';

declare module '../message/issue.ts' {
	interface FieldMessages {
		'field.station': null;
		'limits.below': {
			readonly of: 'heightTolerance' | 'bindFloor' | 'bindAim' | 'outlierMin' | 'sagWatch';
		};
		'job.no-head': { readonly head: string };
		'job.no-station': { readonly station: string };
		'job.voids-unknown': null;
		'job.unknown-person': null;
	}
}

export const FORMAT = 'zinc-ledger/job';
export const VERSION = 2;

const Source = z.enum(SOURCES);
const Kind = z.enum(KINDS);
const cylinder = z
	.int(issue('field.whole-number'))
	.min(1, issue('field.min', { min: 1 }))
	.max(16, issue('field.max', { max: 16 }));

export const Layout = z
	.strictObject({
		arrangement: z.enum(ARRANGEMENTS),
		cylinders: cylinder,
		valvesPerCylinder: z.union(
			[z.literal(2), z.literal(3), z.literal(4), z.literal(5)],
			issue('field.one-of', { values: ['2', '3', '4', '5'] })
		),
		numbering: z.enum(NUMBERINGS),
		/** Cylinders of each head as the maker numbers them, from the left, when the numbering is the maker's own. */
		ownNumbers: z.array(z.array(cylinder).max(16).readonly()).max(2).readonly().optional(),
		pairing: z.enum(PAIRINGS),
		firstValve: z.enum(FIRST_VALVES).optional(),
		rightHead: z.enum(CASTINGS).optional(),
		firingOrder: z.array(cylinder).max(16).readonly().optional(),
		/** Crankshaft degrees at which each of the firing order fires, from the first; even distances when left out. */
		firingAngles: z
			.array(
				z
					.number(issue('field.number', { example: '10' }))
					.min(0, issue('field.min', { min: 0, unit: '°' }))
					.max(719, issue('field.max', { max: 719, unit: '°' }))
			)
			.max(16)
			.readonly()
			.optional()
	})
	.superRefine((layout, context) => {
		const problem = layoutProblem(layout);
		if (problem)
			context.addIssue({ code: 'custom', path: [...problem.path], message: problem.text });
	});

const LiftSource = {
	source: Source,
	/** Half-width of the 95 % interval of the valve's lift, where it is known. */
	uncertainty: Size.optional()
};
export const LiftGiven = z.discriminatedUnion('sort', [
	z.strictObject({
		sort: z.literal('lobe'),
		lobe: PositiveSize,
		ratio: z
			.number(issue('field.number', { example: '1.5' }))
			.min(0.5, issue('field.min', { min: 0.5 }))
			.max(3, issue('field.max', { max: 3 })),
		...LiftSource
	}),
	z.strictObject({ sort: z.literal('valve'), valve: PositiveSize, ...LiftSource })
]);

/** Things that may go back in after they have run. */
export const REUSABLE = ['spring', 'locks', 'seal'] as const;

/** The parts that a station is built of; a station may have its own in place of its kind's. */
const stationParts = {
	valve: Valve.optional(),
	spring: SpringCard.optional(),
	retainer: Retainer.extend({
		/** What was taken off its underside. */
		groundOff: Size.default('0 mm')
	}).optional(),
	locks: Locks.optional(),
	locator: Locator.optional(),
	seal: Seal.optional(),
	lashCap: LashCap.optional(),
	rocker: Rocker.optional(),
	lifter: Lifter.optional()
};
export const StationParts = z.strictObject(stationParts);

const Lash = z.strictObject({
	setting: PositiveSize,
	tolerance: Size,
	engine: z.enum(ENGINE_STATES),
	source: Source
});

export const KindSetup = z.strictObject({
	lift: LiftGiven.optional(),
	lash: Lash.optional(),
	/** How far a hydraulic lifter's plunger is pushed in, for the pump-up allowance. */
	preload: Size.optional(),
	...stationParts,
	/** Which of the parts have run before. */
	reused: z.array(z.enum(REUSABLE)).optional(),
	/** What the head itself gives a spring room for. */
	pocket: z
		.strictObject({
			diameter: PositiveSize.optional(),
			/** Outside diameter of the guide boss that the spring stands round. */
			boss: PositiveSize.optional(),
			/** Stem diameter that the guide is reamed for. */
			guide: PositiveSize.optional()
		})
		.optional(),
	aim: z.discriminatedUnion('method', [
		z.strictObject({ method: z.literal('card-height') }),
		z.strictObject({ method: z.literal('bind-cushion'), cushion: PositiveSize }),
		z.strictObject({ method: z.literal('seat-load'), load: Load }),
		z.strictObject({ method: z.literal('open-load'), load: Load }),
		z.strictObject({ method: z.literal('as-it-stands'), minSeatLoad: Load })
	]),
	/** What the lifter or rocker stands at full lift. */
	maxOpenLoad: Load.optional()
});

const seconds = z
	.int(issue('field.whole-number'))
	.min(0)
	.max(MOST_SECONDS, issue('field.max', { max: MOST_SECONDS, unit: 's' }));
const fraction = z
	.number(issue('field.number', { example: '0.1' }))
	.min(0, issue('field.min', { min: 0 }))
	.max(1, issue('field.max', { max: 1 }));

/** What parts must leave each other; shop defaults that a job can change. */
export const FitLimits = z.strictObject({
	/** Stems that differ by less are of one size. */
	stemMatch: Size.default('0.10 mm'),
	/** Least room between inner spring and seal, on the diameter. */
	sealClearance: Size.default('1.00 mm'),
	/** With a flat damper between them, what they should have. */
	damperClearance: Size.default('2.50 mm'),
	/** A spring may be looser than this on its landing, its spigot or in its cup by no more. */
	landingClearance: Size.default('1.00 mm'),
	/** A tip that stands lower than this does not hold a rail rocker. */
	railTip: Size.default('2.00 mm'),
	/** Open load from which a round groove is preferred. */
	highLoad: Load.default('1800 N'),
	/** Open load and engine speed beyond which a single spring is remarked on. */
	singleSpringMaxLoad: Load.default('1300 N'),
	singleSpringMaxRpm: z.int(issue('field.whole-number')).min(0).max(25_000).default(7500)
});

export const Limits = z
	.strictObject({
		heightTolerance: Size,
		heightStop: Size,
		bindFloor: Size,
		bindAim: Size,
		bindMarginMax: Size,
		sealFloor: Size,
		/** Least room between rocker and retainer, closed, at half and at full lift. */
		rockerFloor: Size.default('0.76 mm'),
		/** Loads further than this part from the load at the aimed height are a watch. */
		loadTolerance: fraction,
		/** A station is shimmed only when it is further than this off its aim. */
		deadBand: Size,
		maxShims: z
			.int(issue('field.whole-number'))
			.min(0, issue('field.min', { min: 0 }))
			.max(4, issue('field.max', { max: 4 })),
		/** Lash that moved further than these since it was set. */
		lashWatch: Size.default('0.003 in'),
		lashStop: Size.default('0.006 in'),
		/** A hydraulic preload further than this from the one wanted is a watch. */
		preloadTolerance: Size.default('0.010 in'),
		/** Least room between piston and valve. */
		pistonFloors: z
			.strictObject({ intake: Size.default('0.080 in'), exhaust: Size.default('0.100 in') })
			.prefault({}),
		/** Parts of the shop's vacuum test. */
		vacuum: z
			.strictObject({ least: Vacuum.default('15 inHg'), seconds: seconds.default(10) })
			.prefault({}),
		outlierMin: Size,
		/** A station further than this stands apart however wide its head scatters. */
		outlierMax: Size.optional(),
		/** Part of its card's load that a tested spring may have lost. */
		sagWatch: fraction.optional(),
		sagStop: fraction.optional(),
		/** Scatter of a gauge that nobody has stated or measured, in parts of its resolution. */
		unknownRepeat: z
			.number(issue('field.number', { example: '1' }))
			.min(0, issue('field.min', { min: 0 }))
			.max(20, issue('field.max', { max: 20 }))
			.optional(),
		outlierFactor: z
			.number(issue('field.number', { example: '3.5' }))
			.min(1, issue('field.min', { min: 1 }))
			.max(10, issue('field.max', { max: 10 })),
		fit: FitLimits.prefault({})
	})
	.superRefine((limits, context) => {
		const atLeast = (key: keyof typeof limits, other: keyof typeof limits, message: string) => {
			if (lengthOf(limits[key] as string) < lengthOf(limits[other] as string))
				context.addIssue({ code: 'custom', path: [key], message });
		};
		atLeast('heightStop', 'heightTolerance', issue('limits.below', { of: 'heightTolerance' }));
		atLeast('bindAim', 'bindFloor', issue('limits.below', { of: 'bindFloor' }));
		atLeast('bindMarginMax', 'bindAim', issue('limits.below', { of: 'bindAim' }));
		if (limits.outlierMax)
			atLeast('outlierMax', 'outlierMin', issue('limits.below', { of: 'outlierMin' }));
		if ((limits.sagStop ?? 1) < (limits.sagWatch ?? 0))
			context.addIssue({
				code: 'custom',
				path: ['sagStop'],
				message: issue('limits.below', { of: 'sagWatch' })
			});
	});

export const StationEntry = z.strictObject({
	label: z.string().regex(/^\d{1,2}[IE][a-c]?$/, issue('field.station')),
	head: Name,
	cylinder: z.int().min(1).max(16),
	kind: Kind,
	along: z.number().min(0).max(16),
	across: z.number().min(0).max(1),
	/** Shims in the build, thickest against the head. */
	shims: z
		.array(PositiveSize)
		.max(4, issue('field.max', { max: 4, unit: 'shims' }))
		.default([]),
	/** Lock offset of this station where it differs from its kind's. */
	lockOffset: Length.optional(),
	/** Parts of this station in place of its kind's. */
	parts: StationParts.optional(),
	/** Tag of the tested spring that stands here. */
	spring: Name.optional()
});

/** A tagged spring that was tested, as a job carries it. */
export const TaggedSpring = z.strictObject({
	tag: Name,
	set: Line,
	/** The card it is of. */
	card: Id,
	points: z
		.array(z.strictObject({ height: PositiveSize, load: Load }))
		.min(2, issue('field.min', { min: 2, unit: 'points' }))
		.max(200),
	bind: PositiveSize.optional(),
	/** Half-width of the bind's 95 % interval. */
	bindUncertainty: Size.optional()
});

/** An accepted plan; the newest one is in force, those before it are superseded. */
export const Plan = z.strictObject({
	id: Id,
	/** The plan that this one takes back: its stations are as they were before that one, its note the reason. */
	withdraws: Id.optional(),
	/** The builds as they stood before it, by which it can be taken back. */
	before: z.array(StationEntry).max(80).optional(),
	/** Whether it was proven that no plan is better. */
	proven: z.boolean(),
	stations: z
		.array(
			z.strictObject({
				label: z.string().max(6),
				shims: z.array(PositiveSize).max(4, issue('field.max', { max: 4, unit: 'shims' })),
				locks: Locks.optional(),
				spring: Name.optional()
			})
		)
		.min(1, issue('field.required'))
		.max(80),
	note: Line.optional(),
	person: Id,
	at: Moment
});

export const Person = z.strictObject({
	id: Id,
	name: Name,
	initials: z
		.string()
		.trim()
		.min(1, issue('field.required'))
		.max(4, issue('field.max', { max: 4, unit: 'characters' }))
});

export const InPlaceEntry = z.strictObject({
	locator: Size,
	shims: z.array(PositiveSize).max(4, issue('field.max', { max: 4, unit: 'shims' })),
	lockOffset: Length,
	recess: Size.default('0 mm'),
	retainerLanding: Length.default('0 mm'),
	sealHeight: PositiveSize.optional(),
	sealHome: z.boolean().optional(),
	/** What had been taken off the underside of the retainer that stood there. */
	groundOff: Size.optional(),
	/** Underside of that retainer against its outer landing. */
	underside: Length.optional(),
	/** Thickness of the lash cap on the tip. */
	lashCap: PositiveSize.optional()
});

export const Reading = z
	.strictObject({
		id: Id,
		station: StationEntry.shape.label,
		quantity: z.enum(QUANTITIES),
		/** The figure as it was read: digits and unit. */
		read: Measured,
		/** The gauge with the correction in force when it was read: true = gain × read + correction. */
		gauge: z.strictObject({
			id: Id.optional(),
			name: Name,
			resolution: Measured,
			gain: z
				.number(issue('field.number', { example: '1.002' }))
				.min(0.5, issue('field.min', { min: 0.5 }))
				.max(2, issue('field.max', { max: 2 }))
				.optional(),
			correction: z.union([Length, Load]).default('0 mm'),
			/** One standard deviation of what the correction leaves unexplained. */
			correctionError: Measured.optional(),
			/** How far it repeats, one standard deviation, and how many degrees of freedom that is known by; stated by the shop when none. */
			repeatability: Measured.optional(),
			repeatabilityFreedom: z.int().min(1).max(1_000_000).optional()
		}),
		inPlace: InPlaceEntry,
		/** Readings of one figure that name the same set are repeats of each other. */
		set: Id.optional(),
		/** Engine cold or hot, for lash. */
		engine: z.enum(ENGINE_STATES).optional(),
		/** Whether a lash was found so or set so, and whether the adjuster was marked. */
		lash: z.strictObject({ as: z.enum(['found', 'set']), marked: z.boolean() }).optional(),
		/** When the server had it, and how far the browser's clock was ahead of the server's then, in seconds. */
		clock: z
			.strictObject({ arrived: Moment, ahead: z.number().min(-1e10).max(1e10).optional() })
			.optional(),
		person: Id,
		at: Moment
	})
	.superRefine(({ quantity, read }, context) => {
		if (LENGTH_TEXT.test(read) === isLoad(quantity))
			context.addIssue({
				code: 'custom',
				path: ['read'],
				message: issue('field.quantity', { of: isLoad(quantity) ? 'load' : 'length' })
			});
	});

export const VoidEntry = z.strictObject({
	id: Id,
	reading: Id,
	reason: Line.min(1, issue('field.required')),
	person: Id,
	at: Moment
});

const Json = z.json();
export const Decision = z.strictObject({
	id: Id,
	/** What was changed, as a path in this document: "limits.bindFloor", "stations.3E.shims". */
	subject: Line.min(1),
	from: Json.optional(),
	to: Json.optional(),
	reason: Line.optional(),
	person: Id,
	at: Moment
});

/** What was seen on a station's valve; the newest of a station counts. */
export const Inspection = z.strictObject({
	id: Id,
	station: StationEntry.shape.label,
	condition: z.enum(['new', 'reused']),
	tip: z.enum(TIPS_SEEN),
	groove: z.enum(GROOVES_SEEN),
	stem: z.enum(STEMS_SEEN),
	seatMark: z.enum(SEAT_MARKS),
	note: Line.optional(),
	person: Id,
	at: Moment
});

/** Something done to the head; what it changes makes earlier readings stale. */
export const HeadWork = z.strictObject({
	id: Id,
	work: z.enum(WORKS),
	/** The head it was done to; all of them when left out. */
	head: Name.optional(),
	/** The kind of valves it was done to; both when left out. */
	kind: Kind.optional(),
	/** Single stations it was done to. */
	stations: z.array(StationEntry.shape.label).min(1, issue('field.required')).max(80).optional(),
	/** What was taken off the deck. */
	cut: PositiveSize.optional(),
	/** How much thicker the gasket is than the one before. */
	thicker: Length.optional(),
	/** The entry that this one takes back; its note is the reason. */
	withdraws: Id.optional(),
	note: Line.optional(),
	person: Id,
	at: Moment
});

/** A finding taken on by somebody, with the reason; the newest about a finding counts. */
export const Acceptance = z.strictObject({
	id: Id,
	/** The finding's key, which names rule, place and the figures compared. */
	finding: z.string().trim().min(1).max(400),
	accepted: z.boolean(),
	reason: Line.min(1, issue('field.required')),
	person: Id,
	at: Moment
});

/** A step of the assembly done, or undone again; the newest about a step and place counts. */
export const AssemblyStep = z.strictObject({
	id: Id,
	/** A station ("3I"), a cylinder ("cylinder 3") or "job". */
	place: Name.max(20),
	step: Name.max(40),
	done: z.boolean(),
	/** Small parts counted at this step. */
	count: z.int(issue('field.whole-number')).min(0).max(1000).optional(),
	note: Line.optional(),
	person: Id,
	at: Moment
});

const check = { id: Id, note: Line.optional(), person: Id, at: Moment };
const label = StationEntry.shape.label;
/** Something tried on the built head; the newest of its sort at a place counts. */
export const Check = z.discriminatedUnion('sort', [
	z.strictObject({
		sort: z.literal('piston-to-valve'),
		station: label,
		method: z.enum(PISTON_METHODS),
		/** Crankshaft degrees from the top dead centre of the gas exchange, and the room there. */
		points: z
			.array(z.strictObject({ angle: z.number().min(-180).max(180), room: Size }))
			.min(1, issue('field.required'))
			.max(80),
		...check
	}),
	z.strictObject({
		sort: z.literal('passage'),
		station: label,
		passage: z.enum(PASSAGES),
		passes: z.boolean(),
		...check
	}),
	z.strictObject({
		sort: z.literal('vacuum'),
		/** A station of the port that was tried. */
		station: label,
		reached: Vacuum,
		least: Vacuum,
		seconds,
		...check
	})
]);

/** Something written about the job or a station; private ones stay in the shop. */
export const Note = z.strictObject({
	id: Id,
	station: label.optional(),
	text: Line.min(1, issue('field.required')),
	private: z.boolean(),
	/** What it is about, where it is of a sort that is looked for. */
	about: z.enum(NOTE_SUBJECTS).optional(),
	/** Holds the job back until it is settled: checking springs fitted, a seal to replace. */
	blocksSignOff: z.boolean(),
	/** The note that this one resolves. */
	resolves: Id.optional(),
	person: Id,
	at: Moment
});

/** A cylinder whose lift or lash is its own. */
const Override = z.strictObject({
	cylinder,
	kind: Kind,
	lift: LiftGiven.optional(),
	lash: Lash.optional()
});

/** What chamber and cylinder hold, for the compression ratio before and after a cut. */
export const Compression = z.strictObject({
	bore: PositiveSize,
	stroke: PositiveSize,
	chamber: Volume,
	/** Gasket, and the space left above the piston, less what stands up into the chamber. */
	gasket: Volume,
	deck: Volume,
	/** Part of the bore's area that the chamber is open to at the deck. */
	chamberOpen: z
		.number(issue('field.number', { example: '0.8' }))
		.min(0.1, issue('field.min', { min: 0.1 }))
		.max(1.2, issue('field.max', { max: 1.2 }))
});

const Policies = z.strictObject({
	damper: z.enum(POLICIES.damper).optional(),
	usedSprings: z.enum(POLICIES.usedSprings).optional(),
	locks: z.enum(POLICIES.locks).optional(),
	measuring: z.enum(POLICIES.measuring).optional()
});

/** What a person sets up and changes; the rest of the job is history. */
export const Setup = z.strictObject({
	use: z.strictObject({
		duty: Line,
		engineSpeed: z
			.int(issue('field.whole-number'))
			.min(1)
			.max(25_000, issue('field.max', { max: 25000, unit: 'rpm' }))
			.optional(),
		boosted: z.boolean().optional(),
		/** Hours on end at load: a boat, a generator, a long race. */
		longDuty: z.boolean().optional(),
		water: z.enum(['fresh', 'salt']).optional(),
		workDone: Line.optional()
	}),
	head: z
		.strictObject({
			material: z.enum(['iron', 'aluminium']).optional(),
			seatInsert: z.enum(['none', 'iron', 'hard-steel', 'soft-bronze']).optional()
		})
		.optional(),
	compression: Compression.optional(),
	/** Where the springs are fitted; in the car the air line and its cautions come in. */
	workLocation: z.enum(['bench', 'vehicle']).optional(),
	/** The thread by which lash is set. */
	adjuster: z.strictObject({ at: z.enum(ADJUSTERS), pitch: PositiveSize }).optional(),
	/** What lash gains from cold to hot; a figure of its own goes before the usual one of the metals. */
	growth: z
		.strictObject({ block: z.enum(METALS_OF_ENGINE).optional(), measured: Length.optional() })
		.optional(),
	/** Shims of shim-type followers on the shelf. */
	followerStock: z
		.array(z.strictObject({ thickness: PositiveSize, count: z.int().min(0).max(10_000) }))
		.max(120, issue('field.max', { max: 120, unit: 'sizes' }))
		.optional(),
	cam: Cam.optional(),
	/** Where the cam lies, and the angle between valve and cylinder: what a cut at the deck does goes by them. */
	camAt: z.enum(['block', 'head']).optional(),
	valveAngle: z
		.number(issue('field.number', { example: '10' }))
		.min(0, issue('field.min', { min: 0, unit: '°' }))
		.max(60, issue('field.max', { max: 60, unit: '°' }))
		.optional(),
	customerStatement: Line.optional(),
	lifters: z.enum(['solid', 'hydraulic']),
	/** Heights are aimed for by each valve's own lift, or all by the larger of intake and exhaust. */
	aimLift: z.enum(['own', 'larger']).optional(),
	/** Loads outside the tested range are taken from the card's line, and said to be. */
	cardBeyondTested: z.boolean().optional(),
	/** What a fitted spring's loads are held against: its card's, or the median of its tested set. */
	loadsAgainst: z.enum(['card', 'set-median']).optional(),
	policies: Policies.optional(),
	kinds: z.strictObject({ intake: KindSetup, exhaust: KindSetup }),
	overrides: z.array(Override).max(80).optional(),
	limits: Limits,
	shimStock: z
		.array(
			z.strictObject({
				thickness: PositiveSize,
				/** Left out where nobody counted them. */
				count: z.int().min(0).max(10_000).optional(),
				inside: PositiveSize.optional(),
				outside: PositiveSize.optional()
			})
		)
		.max(24, issue('field.max', { max: 24, unit: 'sizes' })),
	/** Tagged, tested springs that may be placed. */
	springs: z.array(TaggedSpring).max(80).optional(),
	measuringOrder: z.enum(MEASURING_ORDERS)
});

export const Job = z
	.strictObject({
		format: z.literal(FORMAT, {
			error: issue('file.other-format', { what: 'job', format: FORMAT })
		}),
		version: z.literal(VERSION, { error: issue('file.other-version', { reads: VERSION }) }),
		id: Id,
		number: Name,
		takenIn: Moment,
		customer: z.strictObject({ id: Id, name: Name, contact: Line.optional() }),
		engine: z.strictObject({
			id: Id,
			name: Name,
			layout: Layout
		}),
		setup: Setup,
		heads: z
			.array(z.strictObject({ id: Name, name: Name }))
			.min(1)
			.max(2),
		stations: z.array(StationEntry).min(1, issue('field.required')).max(80),
		people: z.array(Person),
		readings: z.array(Reading),
		voids: z.array(VoidEntry),
		decisions: z.array(Decision),
		inspections: z.array(Inspection).default([]),
		headWork: z.array(HeadWork).default([]),
		acceptances: z.array(Acceptance).default([]),
		plans: z.array(Plan).default([]),
		assembly: z.array(AssemblyStep).default([]),
		checks: z.array(Check).default([]),
		notes: z.array(Note).default([])
	})
	.superRefine((job, context) => {
		const problem = (path: (string | number)[], message: string) =>
			context.addIssue({ code: 'custom', path, message });
		const known = {
			heads: new Set(job.heads.map((head) => head.id)),
			stations: new Set(job.stations.map((station) => station.label)),
			people: new Set(job.people.map((person) => person.id)),
			readings: new Set(job.readings.map((reading) => reading.id))
		};
		onlyOnce(job.stations, 'label', (i) =>
			problem(['stations', i, 'label'], issue('field.duplicate', { what: 'station' }))
		);
		onlyOnce(job.readings, 'id', (i) =>
			problem(['readings', i, 'id'], issue('field.duplicate', { what: 'reading' }))
		);
		job.stations.forEach((station, i) => {
			if (!known.heads.has(station.head))
				problem(['stations', i, 'head'], issue('job.no-head', { head: station.head }));
		});
		job.readings.forEach((reading, i) => {
			if (!known.stations.has(reading.station))
				problem(['readings', i, 'station'], issue('job.no-station', { station: reading.station }));
		});
		job.voids.forEach((entry, i) => {
			if (!known.readings.has(entry.reading))
				problem(['voids', i, 'reading'], issue('job.voids-unknown'));
		});
		for (const list of ['inspections', 'checks', 'notes'] as const) {
			job[list].forEach(({ station }, i) => {
				if (station !== undefined && !known.stations.has(station))
					problem([list, i, 'station'], issue('job.no-station', { station }));
			});
		}
		job.headWork.forEach((entry, i) => {
			entry.stations?.forEach((station, k) => {
				if (!known.stations.has(station))
					problem(['headWork', i, 'stations', k], issue('job.no-station', { station }));
			});
			if (entry.head && !known.heads.has(entry.head))
				problem(['headWork', i, 'head'], issue('job.no-head', { head: entry.head }));
		});
		for (const list of HISTORY) {
			job[list].forEach((entry, i) => {
				if (!known.people.has(entry.person))
					problem([list, i, 'person'], issue('job.unknown-person'));
			});
		}
	});

function onlyOnce<T>(list: readonly T[], key: keyof T, twice: (index: number) => void) {
	const seen = new Set<unknown>();
	list.forEach((item, i) => {
		if (seen.has(item[key])) twice(i);
		seen.add(item[key]);
	});
}

export type Job = z.infer<typeof Job>;
export type Setup = z.infer<typeof Setup>;
export type KindSetup = z.infer<typeof KindSetup>;
export type StationParts = z.infer<typeof StationParts>;
export type FitLimits = z.infer<typeof FitLimits>;
export type Inspection = z.infer<typeof Inspection>;
export type HeadWork = z.infer<typeof HeadWork>;
export type Acceptance = z.infer<typeof Acceptance>;
export type Plan = z.infer<typeof Plan>;
export type AssemblyStep = z.infer<typeof AssemblyStep>;
export type Check = z.infer<typeof Check>;
export type Note = z.infer<typeof Note>;
export type Policies = z.infer<typeof Policies>;
export type TaggedSpring = z.infer<typeof TaggedSpring>;
export type Limits = z.infer<typeof Limits>;
export type StationEntry = z.infer<typeof StationEntry>;
export type Reading = z.infer<typeof Reading>;
export type VoidEntry = z.infer<typeof VoidEntry>;
export type Decision = z.infer<typeof Decision>;
export type InPlaceEntry = z.infer<typeof InPlaceEntry>;
export type Person = z.infer<typeof Person>;
