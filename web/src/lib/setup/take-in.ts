/** What is asked when a job is taken in: short, with sensible defaults. */
import { z } from 'zod';
import {
	ARRANGEMENTS,
	CASTINGS,
	FIRST_VALVES,
	issue,
	layoutProblem,
	NUMBERINGS,
	PAIRINGS,
	readEntry,
	type Job,
	type Layout,
	type Setup,
	type Units
} from '@zinc-ledger/core';

const line = z
	.string()
	.trim()
	.max(200, issue('field.max', { max: 200, unit: 'characters' }));

export const TakeIn = z
	.object({
		number: line.min(1, issue('job.number-missing')).default(''),
		customer: line.min(1, issue('job.customer-missing')).default(''),
		contact: line.default(''),
		engine: line.min(1, issue('job.engine-missing')).default(''),
		arrangement: z.enum(ARRANGEMENTS).default('inline'),
		cylinders: z.coerce
			.number()
			.int(issue('field.whole-number'))
			.min(1, issue('field.min', { min: 1 }))
			.max(16, issue('field.max', { max: 16 }))
			.default(4),
		valvesPerCylinder: z.enum(['2', '3', '4', '5']).default('2'),
		numbering: z.enum(NUMBERINGS).default('bank-by-bank'),
		ownNumbers: line.default(''),
		pairing: z.enum(PAIRINGS).default('mirrored'),
		firstValve: z.enum(FIRST_VALVES).default('intake'),
		rightHead: z.enum(CASTINGS).default('separate'),
		firingOrder: line.default(''),
		lifters: z.enum(['solid', 'hydraulic']).default('solid'),
		duty: line.default(''),
		customerStatement: line.default(''),
		workDone: line.default(''),
		/** Valve lift and cushion that a sum was made with, as typed; '' where none was. */
		lift: line.default(''),
		cushion: line.default(''),
		/** The job that this one is to be like; '' where there is none. */
		like: line.default('')
	})
	.superRefine((form, context) => {
		const problem = layoutProblem(layoutOf(form));
		if (problem) {
			context.addIssue({
				code: 'custom',
				path: [...problem.path],
				message: problem.text
			});
		}
	});
export type TakeIn = z.infer<typeof TakeIn>;

/** What of the form a job that is like another starts from. */
export function takenLike({ id, engine: { layout }, setup }: Job): Partial<TakeIn> {
	const { firingOrder, ownNumbers, firstValve, rightHead, ...rest } = layout;
	return {
		like: id,
		arrangement: rest.arrangement,
		cylinders: rest.cylinders,
		valvesPerCylinder: String(rest.valvesPerCylinder) as TakeIn['valvesPerCylinder'],
		numbering: rest.numbering,
		pairing: rest.pairing,
		...(ownNumbers && { ownNumbers: ownNumbers.map((head) => head.join(' ')).join(' / ') }),
		...(firstValve && { firstValve }),
		...(rightHead && { rightHead }),
		...(firingOrder && { firingOrder: firingOrder.join('-') }),
		lifters: setup.lifters,
		duty: setup.use.duty
	};
}

/** A set-up with what a quick sum was made with: told, and not yet on any card. */
export function withSums(setup: Setup, { lift, cushion }: TakeIn, units: Units): Setup {
	const valve = readEntry(lift, units.length);
	const room = readEntry(cushion, units.length);
	const told = {
		...(valve.ok &&
			valve.length > 0 && {
				lift: { sort: 'valve' as const, valve: valve.text, source: 'customer' as const }
			}),
		...(room.ok &&
			room.length > 0 && { aim: { method: 'bind-cushion' as const, cushion: room.text } })
	};
	const { intake, exhaust } = setup.kinds;
	return { ...setup, kinds: { intake: { ...intake, ...told }, exhaust: { ...exhaust, ...told } } };
}

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
		...(form.numbering === 'custom' && { ownNumbers: form.ownNumbers.split('/').map(numbersIn) }),
		pairing: form.pairing,
		...(form.firstValve === 'exhaust' && { firstValve: form.firstValve }),
		...(twoHeads && form.rightHead !== 'separate' && { rightHead: form.rightHead }),
		...(form.firingOrder && { firingOrder: numbersIn(form.firingOrder) })
	};
}
