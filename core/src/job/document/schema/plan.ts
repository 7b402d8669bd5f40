/** An accepted plan. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import { Locks } from '../../../parts/part/schema.ts';
import { Id, Line, Moment, Name, PositiveSize } from '../../../foundation/units/schema.ts';
import { StationEntry } from './station.ts';

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
				spring: Name.optional(),
				/** A new spring of its card, in place of the one that ran; it has no tag until it is tested. */
				newSpring: z.literal(true).optional()
			})
		)
		.min(1, issue('field.required'))
		.max(80),
	note: Line.optional(),
	person: Id,
	at: Moment
});

export type Plan = z.infer<typeof Plan>;
