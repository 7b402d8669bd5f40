/** What was built and tried. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import {
	Id,
	Line,
	Moment,
	Name,
	PositiveSize,
	Size,
	Vacuum
} from '../../../foundation/units/schema.ts';
import { PASSAGES, PISTON_METHODS } from '../check-words.ts';
import { fraction, seconds } from './limits.ts';
import { StationLabel } from './station.ts';

/** A step of the assembly done, or undone again; the newest about a step and place counts. */
export const AssemblyStep = z.strictObject({
	id: Id,
	/** A station ("3I"), a cylinder ("cylinder 3") or "job". */
	place: Name.max(20),
	step: Name.max(40),
	done: z.boolean(),
	/** Small parts counted at this step. */
	count: z.int(issue('field.whole-number')).min(0).max(1000).optional(),
	/** A height that was measured at this step. */
	measured: PositiveSize.optional(),
	/** The air did not hold, or fell: the list stops here until it does. */
	leaks: z.literal(true).optional(),
	note: Line.optional(),
	person: Id,
	at: Moment
});

const check = { id: Id, note: Line.optional(), person: Id, at: Moment };
/** Something tried on the built head; the newest of its type at a place counts. */
export const Check = z.discriminatedUnion('type', [
	z.strictObject({
		type: z.literal('piston-to-valve'),
		station: StationLabel,
		method: z.enum(PISTON_METHODS),
		/** Crankshaft degrees from the top dead centre of the gas exchange, and the room there. */
		/** Thickness of the gasket that stood between, clamped; 0 for none. */
		gasket: Size.optional(),
		points: z
			.array(z.strictObject({ angle: z.number().min(-180).max(180), room: Size }))
			.min(1, issue('field.required'))
			.max(80),
		...check
	}),
	z.strictObject({
		type: z.literal('passage'),
		station: StationLabel,
		passage: z.enum(PASSAGES),
		passes: z.boolean(),
		...check
	}),
	z.strictObject({
		type: z.literal('leak-down'),
		/** A station of the cylinder that was tried. */
		station: StationLabel,
		/** What leaks away of the air that is fed, as a part of it. */
		loss: fraction,
		max: fraction,
		...check
	}),
	z.strictObject({
		type: z.literal('vacuum'),
		/** A station of the port that was tried. */
		station: StationLabel,
		reached: Vacuum,
		min: Vacuum,
		seconds,
		...check
	})
]);

export type AssemblyStep = z.infer<typeof AssemblyStep>;
export type Check = z.infer<typeof Check>;
