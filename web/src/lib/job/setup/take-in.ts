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
	SOURCES,
	type Job,
	type Layout,
	type Setup,
	type Units
} from '@zinc-ledger/core';

const line = z
	.string()
	.trim()
	.max(200, issue('field.max', { max: 200, unit: 'characters' }));

/** Kinds of heads that are offered by name when no engine is known. */
export interface Usual {
	readonly name: string;
	readonly layout: Layout;
}
const plain = (
	arrangement: Layout['arrangement'],
	cylinders: number,
	valvesPerCylinder: Layout['valvesPerCylinder'] = 2
): Layout => ({
	arrangement,
	cylinders,
	valvesPerCylinder,
	numbering: 'bank-by-bank',
	pairing: 'mirrored'
});
export const USUAL_ENGINES: readonly Usual[] = [
	{ name: 'Inline four', layout: plain('inline', 4) },
	{ name: 'Inline four, 4 valves', layout: plain('inline', 4, 4) },
	{ name: 'Inline six', layout: plain('inline', 6) },
	{ name: 'Inline six, 4 valves', layout: plain('inline', 6, 4) },
	{ name: 'V6', layout: plain('V', 6) },
	{ name: 'V8', layout: plain('V', 8) },
	{ name: 'V8, 4 valves', layout: plain('V', 8, 4) },
	{ name: 'Flat four', layout: plain('flat', 4) },
	{ name: 'Flat six', layout: plain('flat', 6) },
	{ name: 'Twin', layout: plain('inline', 2) },
	{ name: 'Single', layout: plain('inline', 1) }
];

export const HEADS_HERE = ['both', 'A', 'B'] as const;

/** The one head that came in; undefined for an engine with one, or where both did. */
export const onlyHead = ({ arrangement, headsHere }: TakeIn): string | undefined =>
	arrangement === 'inline' || headsHere === 'both' ? undefined : headsHere;

const Fields = z.object({
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
	/** Which heads of a V or flat engine came in. */
	headsHere: z.enum(HEADS_HERE).default('both'),
	firingOrder: line.default(''),
	lifters: z.enum(['solid', 'hydraulic']).default('solid'),
	duty: line.default(''),
	customerStatement: line.default(''),
	workDone: line.default(''),
	/** Lift of both kinds as typed, and the exhaust's where it is its own; '' where it waits. */
	lift: line.default(''),
	liftExhaust: line.default(''),
	liftSource: z.enum(SOURCES).default('customer'),
	/** The cushion that a sum was made with, as typed; '' where none was. */
	cushion: line.default(''),
	/** "kit" or "spring" and an id of the library; '' where it waits. */
	kit: line.default(''),
	/** The id of the engine's template; '' without one. */
	template: line.default(''),
	due: line.default(''),
	price: line.default(''),
	/** What came with the head, a thing a line; its state after a colon. */
	came: z
		.string()
		.trim()
		.max(4000, issue('field.max', { max: 4000, unit: 'characters' }))
		.default(''),
	/** The id of the job to copy the setup from; '' without one. */
	like: line.default('')
});

/** What the form takes: every field by itself, and heads that make sense together. */
export const TakeIn = Fields.superRefine((form, context) => {
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

/** The form before anything is typed: each field's own default. */
export const EMPTY = Object.fromEntries(
	Object.entries(Fields.shape).map(([name, field]) => [name, field.parse(undefined)])
) as TakeIn;

/** The texts of the form for a layout. */
export function layoutTexts(layout: Layout): Partial<TakeIn> {
	const { firingOrder, ownNumbers, firstValve, rightHead, ...rest } = layout;
	return {
		arrangement: rest.arrangement,
		cylinders: rest.cylinders,
		valvesPerCylinder: String(rest.valvesPerCylinder) as TakeIn['valvesPerCylinder'],
		numbering: rest.numbering,
		pairing: rest.pairing,
		ownNumbers: ownNumbers?.map((head) => head.join(' ')).join(' / ') ?? '',
		firstValve: firstValve ?? 'intake',
		rightHead: rightHead ?? 'separate',
		firingOrder: firingOrder?.join('-') ?? ''
	};
}

/** What of the form a job that is like another starts from. */
export const takenLike = ({ id, engine: { layout }, setup }: Job): Partial<TakeIn> => ({
	like: id,
	...layoutTexts(layout),
	lifters: setup.lifters,
	duty: setup.use.duty
});

/** A set-up with the cushion that a quick sum was made with. */
export function withCushion(setup: Setup, cushion: string, units: Units): Setup {
	const room = readEntry(cushion, units.length);
	if (!room.ok || room.length <= 0) return setup;
	const aim = { method: 'bind-cushion' as const, cushion: room.text };
	const { intake, exhaust } = setup.kinds;
	return { ...setup, kinds: { intake: { ...intake, aim }, exhaust: { ...exhaust, aim } } };
}

/** What came with a head, from a list of it: "12 valves: bagged by cylinder". */
export const cameFrom = (list: string): NonNullable<Setup['came']> =>
	list
		.split('\n')
		.map((text) => text.trim())
		.filter(Boolean)
		.map((text) => {
			const [, what, state] = /^(.*?\S)\s*:\s*(\S.*)$/.exec(text) ?? [];
			return what && state ? { what, state } : { what: text };
		});

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
