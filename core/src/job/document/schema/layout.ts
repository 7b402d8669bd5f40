/** How the valves of an engine lie, as a job keeps it. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import {
	ARRANGEMENTS,
	CASTINGS,
	FIRST_VALVES,
	layoutProblem,
	NUMBERINGS,
	PAIRINGS
} from '../../../foundation/station/index.ts';

export const cylinder = z
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
