/**
 * The job document: everything that is known about one job, as plain data.
 * The schema is the one source of the type, of parsing and of the published
 * JSON Schema. Quantities are texts that keep the digits as read and name
 * their unit ("1.820 in"); nothing derived is stored here.
 */
import { z } from 'zod';
import { LENGTH_TEXT, LOAD_TEXT, RATE_TEXT, lengthOf, loadOf } from '../units/quantity.ts';
import { ARRANGEMENTS, KINDS, NUMBERINGS, PAIRINGS } from '../station/layout.ts';
import { WALKING_ORDERS } from '../station/order.ts';
import { ENGINE_STATES } from '../lash/lash.ts';
import { SOURCES } from '../verdict/verdict.ts';
import { QUANTITIES } from './quantities.ts';

export const FORMAT = 'zinc-ledger/job';
export const VERSION = 1;

const quantity = (pattern: RegExp, what: string, example: string) =>
	z.string({ error: `${what}, such as "${example}"` }).regex(pattern, {
		abort: true,
		error: (issue) => `${what}, such as "${example}"; this reads "${clip(issue.input)}"`
	});
const clip = (input: unknown) => String(input).slice(0, 40);

export const Length = quantity(LENGTH_TEXT, 'a length in in or mm', '1.820 in');
/** A length that cannot be negative: a height, a thickness, a gap. */
export const Size = Length.refine((text) => !text.startsWith('-'), 'cannot be negative');
const PositiveSize = Size.refine((text) => Number.parseFloat(text) > 0, 'must be more than 0');
export const Load = quantity(LOAD_TEXT, 'a load in lbf, N or kgf', '130 lbf');
const Rate = quantity(RATE_TEXT, 'a rate in lbf/in, N/mm or kgf/mm', '340 lbf/in').refine(
	(text) => Number.parseFloat(text) > 0,
	'must be more than 0'
);

const Line = z.string().trim().max(200, 'at most 200 characters');
const Name = Line.min(1, 'a name is wanted here');
const Id = z.uuid('an id (UUID)');
const Moment = z.iso.datetime({
	offset: true,
	error: 'a date and time such as 2026-03-02T09:30:00Z'
});
const Source = z.enum(SOURCES);
const Kind = z.enum(KINDS);

export const Layout = z
	.strictObject({
		arrangement: z.enum(ARRANGEMENTS),
		cylinders: z.int('a whole number').min(1, 'at least 1').max(16, 'at most 16'),
		valvesPerCylinder: z.union([z.literal(2), z.literal(4)], '2 or 4'),
		numbering: z.enum(NUMBERINGS),
		pairing: z.enum(PAIRINGS)
	})
	.refine((layout) => layout.arrangement === 'inline' || layout.cylinders % 2 === 0, {
		path: ['cylinders'],
		error: 'an even number for two heads'
	});

const LiftSource = { source: Source };
export const LiftGiven = z.discriminatedUnion('sort', [
	z.strictObject({
		sort: z.literal('lobe'),
		lobe: PositiveSize,
		ratio: z.number('a rocker ratio such as 1.5').min(0.5, 'at least 0.5').max(3, 'at most 3'),
		...LiftSource
	}),
	z.strictObject({ sort: z.literal('valve'), valve: PositiveSize, ...LiftSource })
]);

const CardPoint = z.strictObject({ height: PositiveSize, load: Load });

export const SpringCard = z
	.strictObject({
		id: Id,
		name: Name,
		source: Source,
		/** The height on the card and its load. */
		seat: CardPoint,
		/** A second height with its load, where the card gives one. */
		open: CardPoint.optional(),
		rate: Rate.optional(),
		/** Coil bind height of the spring, or of the outer one of a pair. */
		bind: PositiveSize,
		/** The inner spring's own coil bind height. */
		innerBind: PositiveSize.optional(),
		greatestLift: PositiveSize.optional(),
		outer: z.strictObject({ outside: PositiveSize, wire: PositiveSize }).optional(),
		inner: z.strictObject({ outside: PositiveSize, wire: PositiveSize }).optional(),
		tested: z
			.strictObject({
				points: z.array(CardPoint).min(3, 'at least three tested points'),
				bind: PositiveSize.optional()
			})
			.optional()
	})
	.superRefine((card, context) => {
		const problem = (path: (string | number)[], message: string) =>
			context.addIssue({ code: 'custom', path, message });
		const seat = lengthOf(card.seat.height);
		if (!card.open && !card.rate) problem(['rate'], 'a rate, or a second height with its load');
		if (card.open && lengthOf(card.open.height) >= seat)
			problem(['open', 'height'], 'must be below the seat height');
		if (card.open && loadOf(card.open.load) <= loadOf(card.seat.load))
			problem(['open', 'load'], 'must be more than the seat load');
		if (lengthOf(card.bind) >= seat) problem(['bind'], 'must be below the seat height');
		const points = card.tested?.points ?? [];
		const byHeight = points
			.map((point, i) => ({ i, height: lengthOf(point.height), load: loadOf(point.load) }))
			.sort((a, b) => b.height - a.height);
		byHeight.forEach((point, i) => {
			const taller = byHeight[i - 1];
			if (!taller) return;
			if (taller.height === point.height)
				problem(['tested', 'points', point.i, 'height'], 'this height is there twice');
			else if (taller.load >= point.load)
				problem(['tested', 'points', point.i, 'load'], 'the load must grow as the height falls');
		});
	});

export const KindSetup = z.strictObject({
	lift: LiftGiven.optional(),
	lash: z
		.strictObject({
			setting: PositiveSize,
			tolerance: Size,
			engine: z.enum(ENGINE_STATES),
			source: Source
		})
		.optional(),
	/** How far a hydraulic lifter's plunger is pushed in, for the pump-up allowance. */
	preload: Size.optional(),
	spring: SpringCard.optional(),
	retainer: z
		.strictObject({
			name: Name,
			step: Size.default('0 mm'),
			landingHeight: Length.default('0 mm'),
			groundOff: Size.default('0 mm')
		})
		.optional(),
	valve: z.strictObject({ name: Name, stem: PositiveSize.optional() }).optional(),
	locks: z.strictObject({ name: Name, offset: Length }).optional(),
	locator: z
		.strictObject({ name: Name, thickness: Size, innerRise: Size.default('0 mm') })
		.optional(),
	seal: z.strictObject({ name: Name, height: PositiveSize.optional() }).optional(),
	aim: z.discriminatedUnion('school', [
		z.strictObject({ school: z.literal('card height') }),
		z.strictObject({ school: z.literal('bind cushion'), cushion: PositiveSize }),
		z.strictObject({ school: z.literal('seat load'), load: Load }),
		z.strictObject({ school: z.literal('open load'), load: Load }),
		z.strictObject({ school: z.literal('as it stands'), leastSeatLoad: Load })
	]),
	/** What the lifter or rocker stands at full lift. */
	greatestOpenLoad: Load.optional()
});

const fraction = z.number('a fraction such as 0.1').min(0, 'at least 0').max(1, 'at most 1');

export const Limits = z
	.strictObject({
		heightTolerance: Size,
		heightStop: Size,
		bindFloor: Size,
		bindAim: Size,
		bindWide: Size,
		sealFloor: Size,
		/** Loads further than this part from the load at the aimed height are a watch. */
		loadBand: fraction,
		/** A station is shimmed only when it is further than this off its aim. */
		shimFrom: Size,
		shimsAtMost: z.int('a whole number').min(0, 'at least 0').max(4, 'at most 4'),
		outlierLeast: Size,
		outlierFactor: z.number('a number such as 3.5').min(1, 'at least 1').max(10, 'at most 10')
	})
	.superRefine((limits, context) => {
		const atLeast = (key: keyof typeof limits, other: keyof typeof limits, message: string) => {
			if (lengthOf(limits[key] as string) < lengthOf(limits[other] as string))
				context.addIssue({ code: 'custom', path: [key], message });
		};
		atLeast('heightStop', 'heightTolerance', 'cannot be tighter than the tolerance');
		atLeast('bindAim', 'bindFloor', 'cannot be below the floor');
		atLeast('bindWide', 'bindAim', 'cannot be below the aim');
	});

export const StationEntry = z.strictObject({
	label: z.string().regex(/^\d{1,2}[IE][a-c]?$/, 'a station such as 3I or 12Eb'),
	head: Name,
	cylinder: z.int().min(1).max(16),
	kind: Kind,
	along: z.number().min(0).max(16),
	across: z.number().min(0).max(1),
	/** Shims in the build, thickest against the head. */
	shims: z.array(PositiveSize).max(4, 'at most four shims').default([]),
	/** Lock offset of this station where it differs from its kind's. */
	lockOffset: Length.optional()
});

export const Person = z.strictObject({
	id: Id,
	name: Name,
	initials: z.string().trim().min(1, 'initials are wanted').max(4, 'at most 4 letters')
});

export const InPlaceEntry = z.strictObject({
	locator: Size,
	shims: z.array(PositiveSize).max(4, 'at most four shims'),
	lockOffset: Length,
	recess: Size.default('0 mm'),
	retainerLanding: Length.default('0 mm'),
	sealHeight: PositiveSize.optional(),
	sealHome: z.boolean().optional()
});

export const Reading = z.strictObject({
	id: Id,
	station: StationEntry.shape.label,
	quantity: z.enum(QUANTITIES),
	/** The figure as it was read: digits and unit. */
	read: Size,
	gauge: z.strictObject({
		name: Name,
		resolution: Size,
		correction: Length.default('0 mm')
	}),
	inPlace: InPlaceEntry,
	/** Engine cold or hot, for lash. */
	engine: z.enum(ENGINE_STATES).optional(),
	person: Id,
	at: Moment
});

export const VoidEntry = z.strictObject({
	id: Id,
	reading: Id,
	reason: Line.min(1, 'a reason is wanted'),
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

/** What a person sets up and changes; the rest of the job is history. */
export const Setup = z.strictObject({
	use: z.strictObject({
		duty: Line,
		engineSpeed: z.int('whole turns a minute').min(1).max(25_000, 'at most 25,000 rpm').optional(),
		workDone: Line.optional()
	}),
	toldByCustomer: Line.optional(),
	lifters: z.enum(['solid', 'hydraulic']),
	kinds: z.strictObject({ intake: KindSetup, exhaust: KindSetup }),
	limits: Limits,
	shimStock: z
		.array(z.strictObject({ thickness: PositiveSize, count: z.int().min(0).max(10_000) }))
		.max(24, 'at most 24 sizes'),
	walkingOrder: z.enum(WALKING_ORDERS)
});

export const Job = z
	.strictObject({
		format: z.literal(FORMAT, { error: `must be "${FORMAT}": this is not a job file` }),
		version: z.literal(VERSION, { error: `this program reads version ${VERSION}` }),
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
		stations: z.array(StationEntry).min(1, 'a job has stations').max(80),
		people: z.array(Person),
		readings: z.array(Reading),
		voids: z.array(VoidEntry),
		decisions: z.array(Decision)
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
			problem(['stations', i, 'label'], 'this station is there twice')
		);
		onlyOnce(job.readings, 'id', (i) =>
			problem(['readings', i, 'id'], 'this reading is there twice')
		);
		job.stations.forEach((station, i) => {
			if (!known.heads.has(station.head))
				problem(['stations', i, 'head'], `there is no head ${station.head} on this job`);
		});
		job.readings.forEach((reading, i) => {
			if (!known.stations.has(reading.station))
				problem(['readings', i, 'station'], `there is no station ${reading.station} on this job`);
		});
		job.voids.forEach((entry, i) => {
			if (!known.readings.has(entry.reading))
				problem(['voids', i, 'reading'], 'strikes a reading that is not in this file');
		});
		for (const list of ['readings', 'voids', 'decisions'] as const) {
			job[list].forEach((entry, i) => {
				if (!known.people.has(entry.person))
					problem([list, i, 'person'], 'a person who is not in the list of people');
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
export type SpringCard = z.infer<typeof SpringCard>;
export type Limits = z.infer<typeof Limits>;
export type StationEntry = z.infer<typeof StationEntry>;
export type Reading = z.infer<typeof Reading>;
export type VoidEntry = z.infer<typeof VoidEntry>;
export type Decision = z.infer<typeof Decision>;
export type InPlaceEntry = z.infer<typeof InPlaceEntry>;
export type Person = z.infer<typeof Person>;
