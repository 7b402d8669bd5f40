/** What a person sets up and changes. */
import { z } from 'zod';
import { ADJUSTERS, ENGINE_STATES, METALS_OF_ENGINE } from '../../../valvetrain/lash/index.ts';
import { issue } from '../../../foundation/message/index.ts';
import { KitTaken } from '../../../parts/kit/schema.ts';
import { Cam } from '../../../parts/part/schema.ts';
import { TRAINS } from '../../../parts/part/index.ts';
import { KINDS, MEASURING_ORDERS } from '../../../foundation/station/index.ts';
import {
	Length,
	Line,
	Load,
	Mass,
	PositiveSize,
	Pressure,
	Rate,
	Size,
	Volume
} from '../../../foundation/units/schema.ts';
import { SOURCES } from '../../../foundation/verdict/index.ts';
import { POLICIES, REUSABLE } from '../policies.ts';
import { SCOPE_NEEDS } from '../scopes.ts';
import { cylinder } from './layout.ts';
import { fraction, Limits } from './limits.ts';
import { stationParts } from './parts.ts';
import { StationLabel, TaggedSpring } from './station.ts';

const Kind = z.enum(KINDS);
const Source = z.enum(SOURCES);
const LiftSource = {
	source: Source,
	/** Half-width of the 95 % interval of the valve's lift, where it is known. */
	uncertainty: Size.optional()
};
export const LiftGiven = z.discriminatedUnion('type', [
	z.strictObject({
		type: z.literal('lobe'),
		lobe: PositiveSize,
		ratio: z
			.number(issue('field.number', { example: '1.5' }))
			.min(0.5, issue('field.min', { min: 0.5 }))
			.max(3, issue('field.max', { max: 3 })),
		...LiftSource
	}),
	z.strictObject({ type: z.literal('valve'), valve: PositiveSize, ...LiftSource })
]);

const Lash = z.strictObject({
	setting: PositiveSize,
	tolerance: Size,
	engine: z.enum(ENGINE_STATES),
	source: Source
});

const SeatInsert = z.enum(['none', 'iron', 'hard-steel', 'soft-bronze']);

export const KindSetup = z.strictObject({
	lift: LiftGiven.optional(),
	lash: Lash.optional(),
	/** How far a hydraulic lifter's plunger is pushed in, for the pump-up allowance. */
	preload: Size.optional(),
	...stationParts,
	/** The kit that its parts were taken from, and what that asks for. */
	kit: KitTaken.optional(),
	/** What its valves sit on, where it is not what the head says. */
	seatInsert: SeatInsert.optional(),
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
	maxOpenLoad: Load.optional(),
	/** Of one pushrod with its ends. */
	pushrodMass: Mass.optional(),
	/** In the port less that in the cylinder, while the valve is closed: what boost or back pressure pushes with. */
	portPressure: Pressure.optional()
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
	/** As stated before any cut; counts where not all of the volumes are known. */
	ratio: z
		.number(issue('field.number', { example: '9.5' }))
		.min(4, issue('field.min', { min: 4 }))
		.max(30, issue('field.max', { max: 30 }))
		.optional(),
	chamber: Volume.optional(),
	/** Gasket, and the space left above the piston, less what stands up into the chamber. */
	gasket: Volume.optional(),
	deck: Volume.optional(),
	/** Part of the bore's area that the chamber is open to at the deck. */
	chamberOpen: z
		.number(issue('field.number', { example: '0.8' }))
		.min(0.1, issue('field.min', { min: 0.1 }))
		.max(1.2, issue('field.max', { max: 1.2 }))
		.default(1)
});

const Policies = z.strictObject({
	damper: z.enum(POLICIES.damper).optional(),
	usedSprings: z.enum(POLICIES.usedSprings).optional(),
	locks: z.enum(POLICIES.locks).optional(),
	measuring: z.enum(POLICIES.measuring).optional(),
	control: z.enum(POLICIES.control).optional()
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
			seatInsert: SeatInsert.optional()
		})
		.optional(),
	compression: Compression.optional(),
	/** Of the head gasket that will run, clamped. */
	gasketThickness: Size.optional(),
	/** Where the springs are fitted; in the car the air line and its cautions come in. */
	workLocation: z.enum(['bench', 'vehicle']).optional(),
	/** The valves that are worked on, where it is not all of them; the rest is not looked at. */
	atHand: z.array(StationLabel).min(1, issue('field.required')).max(80).optional(),
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
	/** How the cam's lift comes to the valves. */
	train: z.enum(TRAINS).optional(),
	/** Of all between cam and valve, at the valve, and its damping as a part of the critical; the usual of its type where nobody says. */
	trainStiffness: Rate.optional(),
	/** A test of that stiffness on the engine: the load at the valve, how far it moved with the cam held, and the half-width of the 95 % interval of that. */
	trainTest: z
		.strictObject({ load: Load, deflection: PositiveSize, within: PositiveSize })
		.optional(),
	trainDamping: fraction.optional(),
	/** Where the cam lies, and the angle between valve and cylinder: what a cut at the deck does goes by them. */
	camAt: z.enum(['block', 'head']).optional(),
	valveAngle: z
		.number(issue('field.number', { example: '10' }))
		.min(0, issue('field.min', { min: 0, unit: '°' }))
		.max(60, issue('field.max', { max: 60, unit: '°' }))
		.optional(),
	customerStatement: Line.optional(),
	/** What was agreed with the customer. */
	order: z
		.strictObject({
			/** The day it is wanted on: 2026-12-04. */
			due: z.iso.date(issue('field.date')).optional(),
			price: Line.optional()
		})
		.optional(),
	/** What came with the head, and in what state. */
	came: z
		.array(z.strictObject({ what: Line.min(1, issue('field.required')), state: Line.optional() }))
		.max(40, issue('field.max', { max: 40, unit: 'parts' }))
		.optional(),
	lifters: z.enum(['solid', 'hydraulic']),
	/** Heights are aimed for by each valve's own lift, or all by the larger of intake and exhaust. */
	aimLift: z.enum(['own', 'larger']).optional(),
	/** Loads outside the tested range are taken from the card's line, and said to be. */
	cardBeyondTested: z.boolean().optional(),
	/** What a fitted spring's loads are held against: its card's, or the median of its tested set. */
	loadsAgainst: z.enum(['card', 'set-median']).optional(),
	policies: Policies.optional(),
	/** What signatures need and this job does without, once for all of it. */
	leftOut: z
		.array(
			z.strictObject({
				need: z.enum(SCOPE_NEEDS),
				reason: Line.min(1, issue('field.required'))
			})
		)
		.max(SCOPE_NEEDS.length)
		.optional(),
	kinds: z.strictObject({ intake: KindSetup, exhaust: KindSetup }),
	overrides: z.array(Override).max(80).optional(),
	limits: Limits,
	/** Which face of its shims goes up, as somebody would say it: "chamfer down". */
	shimFaceUp: Line.optional(),
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

export type Setup = z.infer<typeof Setup>;
export type KindSetup = z.infer<typeof KindSetup>;
export type Policies = z.infer<typeof Policies>;
