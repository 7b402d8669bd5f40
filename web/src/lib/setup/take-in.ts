/** What is asked when a job is taken in: short, with sensible defaults. */
import { z } from 'zod';
import {
	ARRANGEMENTS,
	CASTINGS,
	FIRST_VALVES,
	layoutProblem,
	NUMBERINGS,
	PAIRINGS,
	type Layout
} from '@zinc-ledger/core';

const line = z.string().trim().max(200, 'At most 200 letters.');

export const TakeIn = z
	.object({
		number: line.min(1, 'A job needs a number.').default(''),
		customer: line.min(1, 'Whose head is it?').default(''),
		contact: line.default(''),
		engine: line.min(1, 'Which engine is it from?').default(''),
		arrangement: z.enum(ARRANGEMENTS).default('inline'),
		cylinders: z.coerce
			.number()
			.int('A whole number.')
			.min(1, 'At least 1.')
			.max(16, 'At most 16.')
			.default(4),
		valvesPerCylinder: z.enum(['2', '3', '4', '5']).default('2'),
		numbering: z.enum(NUMBERINGS).default('bank by bank'),
		ownNumbers: line.default(''),
		pairing: z.enum(PAIRINGS).default('mirrored'),
		firstValve: z.enum(FIRST_VALVES).default('intake'),
		rightHead: z.enum(CASTINGS).default('its own casting'),
		firingOrder: line.default(''),
		lifters: z.enum(['solid', 'hydraulic']).default('solid'),
		duty: line.default(''),
		toldByCustomer: line.default(''),
		workDone: line.default('')
	})
	.superRefine((form, context) => {
		const problem = layoutProblem(layoutOf(form));
		if (problem) {
			context.addIssue({
				code: 'custom',
				path: [...problem.path],
				message: `It wants ${problem.message}.`
			});
		}
	});
export type TakeIn = z.infer<typeof TakeIn>;

/** The numbers in a text such as "1-5-3-6-2-4" or "1 5 3 6 2 4". */
const numbersIn = (text: string) => (text.match(/\d+/g) ?? []).map(Number);

/** The layout that a form stands for, whether or not it makes sense. */
export function layoutOf(form: TakeIn): Layout {
	const twoHeads = form.arrangement !== 'inline';
	return {
		arrangement: form.arrangement,
		cylinders: Number(form.cylinders),
		valvesPerCylinder: Number(form.valvesPerCylinder) as Layout['valvesPerCylinder'],
		numbering: form.numbering,
		...(form.numbering === 'own' && { ownNumbers: form.ownNumbers.split('/').map(numbersIn) }),
		pairing: form.pairing,
		...(form.firstValve === 'exhaust' && { firstValve: form.firstValve }),
		...(twoHeads && form.rightHead !== 'its own casting' && { rightHead: form.rightHead }),
		...(form.firingOrder && { firingOrder: numbersIn(form.firingOrder) })
	};
}
