/**
 * The parts that stand in a stack or move a valve, as a shop's library keeps
 * them and as a job document carries them. Only the name is always known; a
 * rule that needs a figure which is not given says so (docs/trade/parts.md#compatibility).
 */
import { z } from 'zod';
import { issue } from '../../foundation/message/index.ts';
import {
	Id,
	Inertia,
	Length,
	Line,
	Load,
	Mass,
	Name,
	PositiveSize,
	Rate,
	Size
} from '../../foundation/units/schema.ts';
import { lengthOf, loadOf } from '../../foundation/units/index.ts';
import { SOURCES } from '../../foundation/verdict/index.ts';
import {
	CAP_SEATS,
	CENTRES,
	GROOVES,
	LIFTERS,
	METALS,
	ROCKER_NOSES,
	SEAL_REST,
	SEAL_TURNS,
	SPRING_BUILDS,
	TIPS,
	type PartType
} from './types.ts';

declare module '../../foundation/message/issue.ts' {
	interface FieldMessages {
		'spring.not-below-seat': null;
		'spring.load-not-above-seat': null;
		'spring.not-above-seat': null;
		'spring.load-falls': null;
	}
}

/** Which face goes up, as somebody would say it: "chamfer down". */
const faceUp = Line.optional();
const Price = z
	.number(issue('field.number', { example: '14.50' }))
	.min(0, issue('field.negative'))
	.max(1_000_000, issue('field.max', { max: 1_000_000 }));
/** What every part has, apart from its type. */
const common = {
	/** The part's id in the shop's library; none for a part typed into one job only. */
	id: Id.optional(),
	name: Name,
	maker: Line.optional(),
	batch: Line.optional(),
	mass: Mass.optional(),
	/** What one costs, in the shop's own currency. */
	price: Price.optional(),
	note: Line.optional()
};
const degrees = z
	.number(issue('field.number', { example: '10' }))
	.min(1, issue('field.min', { min: 1, unit: '°' }))
	.max(45, issue('field.max', { max: 45, unit: '°' }));

const CardPoint = z.strictObject({ height: PositiveSize, load: Load });
const Coil = z.strictObject({ outside: PositiveSize, wire: PositiveSize });

export const SpringCard = z
	.strictObject({
		...common,
		id: Id,
		source: z.enum(SOURCES),
		build: z.enum(SPRING_BUILDS).optional(),
		/** Coils wound closer at one end, so that the rate grows. */
		progressive: z.boolean().optional(),
		/** The maker marked which end is up. */
		markedTop: z.boolean().optional(),
		/** The height on the card and its load. */
		seat: CardPoint,
		/** A second height with its load, where the card gives one. */
		open: CardPoint.optional(),
		/** Where the card gives one; without it and a second height, it says its load at one height only. */
		rate: Rate.optional(),
		/** Coil bind height of the spring, or of the outer one of a pair, where it is known. */
		bind: PositiveSize.optional(),
		/** The inner spring's own coil bind height. */
		innerBind: PositiveSize.optional(),
		/** The third, innermost spring's own. */
		thirdBind: PositiveSize.optional(),
		maxLift: PositiveSize.optional(),
		freeHeight: PositiveSize.optional(),
		outer: Coil.optional(),
		/** Outside diameter at the top, where a conical or beehive spring ends smaller. */
		topOutside: PositiveSize.optional(),
		inner: Coil.optional(),
		third: Coil.optional(),
		paint: Line.optional(),
		/** The maker wants new seals and locks with it. */
		requiresNew: z.boolean().optional(),
		tested: z
			.strictObject({
				points: z.array(CardPoint).min(2, issue('field.min', { min: 2, unit: 'points' })),
				bind: PositiveSize.optional(),
				/** Half-width of the bind's 95 % interval. */
				bindUncertainty: Size.optional(),
				/** One standard deviation of its loads by the tester's own checks, as a part of the load. */
				loadDeviation: z.number().min(0).max(1).optional(),
				/** Coils that were tested apart, each with its own solid height. */
				coils: z
					.strictObject({
						outer: PositiveSize.optional(),
						inner: PositiveSize.optional(),
						third: PositiveSize.optional()
					})
					.optional(),
				/** The set that was tested, where one was. */
				set: Line.optional(),
				/** Tested before it ran: what it was at an earlier visit. */
				earlier: z.literal(true).optional(),
				/** The card that fits what was tested better than this one, where this one does not. */
				mismatch: Line.optional()
			})
			.optional()
	})
	.superRefine((card, context) => {
		const problem = (path: (string | number)[], message: string) =>
			context.addIssue({ code: 'custom', path, message });
		const seat = lengthOf(card.seat.height);
		if (card.open && lengthOf(card.open.height) >= seat)
			problem(['open', 'height'], issue('spring.not-below-seat'));
		if (card.open && loadOf(card.open.load) <= loadOf(card.seat.load))
			problem(['open', 'load'], issue('spring.load-not-above-seat'));
		if (card.bind && lengthOf(card.bind) >= seat) problem(['bind'], issue('spring.not-below-seat'));
		if (card.freeHeight && lengthOf(card.freeHeight) <= seat)
			problem(['freeHeight'], issue('spring.not-above-seat'));
		const points = card.tested?.points ?? [];
		const byHeight = points
			.map((point, i) => ({ i, height: lengthOf(point.height), load: loadOf(point.load) }))
			.sort((a, b) => b.height - a.height);
		byHeight.forEach((point, i) => {
			const taller = byHeight[i - 1];
			if (!taller) return;
			if (taller.height === point.height)
				problem(
					['tested', 'points', point.i, 'height'],
					issue('field.duplicate', { what: 'height' })
				);
			else if (taller.load >= point.load)
				problem(['tested', 'points', point.i, 'load'], issue('spring.load-falls'));
		});
	});

export const Retainer = z.strictObject({
	...common,
	faceUp,
	/** How much deeper the inner spring's landing sits than the outer's. */
	step: Size.default('0 mm'),
	/** The same of the third spring's landing. */
	thirdStep: Size.optional(),
	/** How high its underside stands against the outer landing, where it faces the seal. */
	underside: Length.optional(),
	/** Height of the outer landing against the shop's common datum. */
	landingHeight: Length.default('0 mm'),
	/** Diameter of the step that each spring's inside sits on, outermost spring first. */
	landings: z
		.array(PositiveSize)
		.max(3, issue('field.max', { max: 3, unit: 'landings' }))
		.optional(),
	angle: degrees.optional(),
	height: PositiveSize.optional(),
	material: z.enum(METALS).optional()
});

export const Locks = z.strictObject({
	...common,
	offset: Length,
	stem: PositiveSize.optional(),
	angle: degrees.optional(),
	bead: z.enum(GROOVES).optional(),
	/** From their top down to the middle of the bead. */
	beadAt: PositiveSize.optional(),
	/** How they take a lash cap: not at all, in a recess, or holding it captive. */
	capSeat: z.enum(CAP_SEATS).optional(),
	/** They reach up and hold the tip, as a wafer tip wants. */
	holdsTip: z.boolean().optional(),
	/** Tip lengths they take, where they ask for any. */
	minTip: PositiveSize.optional(),
	maxTip: PositiveSize.optional()
});

export const Locator = z.strictObject({
	...common,
	faceUp,
	thickness: Size,
	innerRise: Size.default('0 mm'),
	thirdRise: Size.optional(),
	locatesOn: z.enum(CENTRES).optional(),
	outside: PositiveSize.optional(),
	/** Diameter of the spigot that an inside locator puts into the spring. */
	spigot: PositiveSize.optional(),
	/** Inside diameter of the cup that an outside locator puts round the spring. */
	cup: PositiveSize.optional(),
	/** Hole that goes over the guide boss. */
	bore: PositiveSize.optional()
});

export const Shim = z.strictObject({
	...common,
	thickness: PositiveSize,
	inside: PositiveSize.optional(),
	outside: PositiveSize.optional()
});

/** A shim of a follower, under it or in its top, that sets the lash. */
export const FollowerShim = z.strictObject({
	...common,
	thickness: PositiveSize,
	outside: PositiveSize.optional()
});

export const Seal = z.strictObject({
	...common,
	/** Height of the top above the guide, pushed home. */
	height: PositiveSize.optional(),
	stem: PositiveSize.optional(),
	outside: PositiveSize.optional(),
	/** What it comes to rest on when home. */
	bottomsOn: z.enum(SEAL_REST).optional(),
	installOrder: z.enum(SEAL_TURNS).optional()
});

export const Valve = z.strictObject({
	...common,
	stem: PositiveSize.optional(),
	length: PositiveSize.optional(),
	groove: z.enum(GROOVES).optional(),
	tip: z.enum(TIPS).optional(),
	/** From the lock groove to the stem's end. */
	tipLength: PositiveSize.optional(),
	material: z.enum(METALS).optional(),
	/** On its stem or face, as its maker calls it. */
	coating: Line.optional(),
	head: PositiveSize.optional(),
	hardFaced: z.boolean().optional()
});

export const LashCap = z.strictObject({
	...common,
	thickness: PositiveSize,
	stem: PositiveSize.optional()
});

export const Rocker = z.strictObject({
	...common,
	ratio: z
		.number(issue('field.number', { example: '1.5' }))
		.min(0.5, issue('field.min', { min: 0.5 }))
		.max(3, issue('field.max', { max: 3 })),
	nose: z.enum(ROCKER_NOSES).optional(),
	/** About its pivot. */
	inertia: Inertia.optional(),
	/** From the pivot to the valve tip. */
	arm: PositiveSize.optional()
});

export const Lifter = z.strictObject({
	...common,
	type: z.enum(LIFTERS),
	/** Open load that the shop allows this type. */
	maxOpenLoad: Load.optional()
});

const CardAngle = z
	.number(issue('field.number', { example: '10' }))
	.min(-60, issue('field.min', { min: -60, unit: '°' }))
	.max(150, issue('field.max', { max: 150, unit: '°' }));
const CardDuration = z
	.number(issue('field.number', { example: '250' }))
	.min(60, issue('field.min', { min: 60, unit: '°' }))
	.max(420, issue('field.max', { max: 420, unit: '°' }));
const Lobe = z.strictObject({
	lobe: PositiveSize,
	/** In degrees of the crankshaft. */
	duration: CardDuration.optional(),
	/** The lift at the lobe that the duration is given at. */
	durationAt: PositiveSize.optional(),
	/** A second one, at a higher lift: it shapes the flank. */
	second: z.strictObject({ duration: CardDuration, at: PositiveSize }).optional(),
	/** Crankshaft degrees as the cam card has them: an intake before top, an exhaust before bottom dead centre. */
	opens: CardAngle.optional(),
	/** An intake after bottom, an exhaust after top dead centre. */
	closes: CardAngle.optional(),
	lash: Size.optional(),
	/** Crankshaft degrees at 0.050 in of lobe lift that somebody confirmed, where no cam in use has such a duration. */
	confirmedDuration: z.number().min(0).max(720).optional(),
	/** Lift at the lobe over cam degrees from the nose. */
	table: z
		.array(z.strictObject({ degree: z.number().min(-180).max(180), lift: Size }))
		.max(720)
		.optional()
});
export const Cam = z.strictObject({ ...common, intake: Lobe, exhaust: Lobe });

/** One part of the library: its type in front of what a part of that type has. */
export const SCHEMA_OF = {
	spring: SpringCard,
	retainer: Retainer,
	locks: Locks,
	locator: Locator,
	shim: Shim,
	'follower-shim': FollowerShim,
	seal: Seal,
	valve: Valve,
	'lash-cap': LashCap,
	rocker: Rocker,
	lifter: Lifter,
	cam: Cam
} as const satisfies Record<PartType, z.ZodType>;

export type PartOf = { [S in PartType]: z.infer<(typeof SCHEMA_OF)[S]> };

/** A part in the library, with what the shop knows of its stock. */
export type LibraryPart<S extends PartType = PartType> = {
	[Type in S]: {
		readonly type: Type;
		readonly part: PartOf[Type] & { id: string };
		/** How many are on the shelf; null where the shop does not count them. */
		readonly stock: number | null;
		readonly retired: boolean;
	};
}[S];

export type SpringCard = PartOf['spring'];
export type Cam = PartOf['cam'];
