/** What was read at a station, with the gauge and the parts in place then. */
import { z } from 'zod';
import { ENGINE_STATES } from '../../../valvetrain/lash/index.ts';
import { issue } from '../../../foundation/message/index.ts';
import { measureOf } from '../../../foundation/units/index.ts';
import {
	Id,
	Length,
	Line,
	Load,
	Measured,
	Moment,
	Name,
	PositiveSize,
	Size
} from '../../../foundation/units/schema.ts';
import { QUANTITIES, readAs } from '../quantities.ts';
import { StationLabel } from './station.ts';

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
		station: StationLabel,
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
			/** What its maker states that it reads wrong by at most, where it was never checked. */
			accuracy: Measured.optional(),
			/** How far it repeats, one standard deviation, and how many degrees of freedom that is known by; stated by the shop when none. */
			repeatability: Measured.optional(),
			repeatabilityFreedom: z.int().min(1).max(1_000_000).optional()
		}),
		inPlace: InPlaceEntry,
		/** Readings of one figure that name the same set are repeats of each other. */
		set: Id.optional(),
		/** Typed from a list that somebody else wrote, or told by phone; left out where a gauge was read here. */
		from: z.enum(['list', 'phone']).optional(),
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
		const as = readAs(quantity);
		if (measureOf(read) !== as)
			context.addIssue({
				code: 'custom',
				path: ['read'],
				message: issue('field.quantity', { of: as })
			});
	});

export const VoidEntry = z.strictObject({
	id: Id,
	reading: Id,
	reason: Line.min(1, issue('field.required')),
	person: Id,
	at: Moment
});

export type Reading = z.infer<typeof Reading>;
export type VoidEntry = z.infer<typeof VoidEntry>;
export type InPlaceEntry = z.infer<typeof InPlaceEntry>;
