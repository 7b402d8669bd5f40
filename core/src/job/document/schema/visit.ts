/** A head that came back: what its visit starts from, what happened since, what was looked at and tried. */
import { z } from 'zod';
import {
	CAUSES,
	CHECK_CODES,
	COMPLAINTS,
	EVIDENCE_CODES
} from '../../../visits/diagnosis/index.ts';
import { issue, type FieldUnit } from '../../../foundation/message/index.ts';
import { loadOf } from '../../../foundation/units/index.ts';
import { Id, Line, Load, Moment, Name } from '../../../foundation/units/schema.ts';
import { StationLabel } from './station.ts';

/** The signed sheet that a visit starts from. */
export const VisitOf = z.strictObject({
	job: Id,
	number: Name,
	sheet: Id,
	revision: z.int().min(1),
	at: Moment,
	/** By head of the visit: which head of the sheet it is, where it lies elsewhere on its engine now. */
	places: z.record(Name, Name).optional()
});

const amount = (max: number, unit: FieldUnit) =>
	z
		.number(issue('field.number', { example: '40' }))
		.min(0, issue('field.min', { min: 0, unit }))
		.max(max, issue('field.max', { max, unit }));
const count = (max: number, unit: FieldUnit) =>
	z
		.int(issue('field.number', { example: '4' }))
		.min(0, issue('field.min', { min: 0, unit }))
		.max(max, issue('field.max', { max, unit }));

/** What happened to a head between two visits, as far as it is known; the newest counts. */
export const Since = z.strictObject({
	id: Id,
	/** What it ran. */
	hours: amount(100_000, 'h').optional(),
	runs: count(1_000_000, 'runs').optional(),
	kilometres: amount(10_000_000, 'km').optional(),
	/** The highest engine speed, in rpm. */
	highestSpeed: amount(100_000, 'rpm').optional(),
	/** Times the engine was turned beyond the speed that the job was built for. */
	overSpeed: count(100_000, 'times').optional(),
	/** What was changed on the engine. */
	changed: Line.optional(),
	complaint: z.enum(COMPLAINTS).optional(),
	/** What the customer noticed, in their words. */
	noticed: Line.optional(),
	person: Id,
	at: Moment
});

const SpringLoad = Load.refine((text) => loadOf(text) > 0, issue('field.not-positive'));

/** One check that was done, with what of all it tells was seen; the rest was looked for and is not there. The newest of a check counts. */
export const Look = z.strictObject({
	id: Id,
	check: z.enum(CHECK_CODES),
	seen: z
		.array(
			z.strictObject({
				evidence: z.enum(EVIDENCE_CODES),
				stations: z.array(StationLabel).max(80).optional()
			})
		)
		.max(20),
	/** What a spring read on the tester of then and on that of now, at one height. */
	reference: z.strictObject({ then: SpringLoad, now: SpringLoad }).optional(),
	note: Line.optional(),
	person: Id,
	at: Moment
});

export const TRIAL_RESULTS = ['gone', 'better', 'same', 'worse'] as const;

/** One thing that was changed, and what that did. Without a result it is still being tried. */
export const Trial = z.strictObject({
	id: Id,
	changed: Line.min(1, issue('field.required')),
	/** The cause that it addresses, where it is one of the program's. */
	cause: z.enum(CAUSES).optional(),
	/** How it was tried. */
	tried: Line.min(1, issue('field.required')),
	result: z.enum(TRIAL_RESULTS).optional(),
	/** The trial that this one tells the result of. */
	of: Id.optional(),
	note: Line.optional(),
	person: Id,
	at: Moment
});

/** What a closed case proved to be, and what showed it: never the program's own answer. The newest one counts. */
export const CaseOutcome = z.strictObject({
	id: Id,
	/** All that was at fault; "elsewhere" where the valvetrain was in order. */
	causes: z.array(z.enum(CAUSES)).min(1, issue('field.required')).max(6),
	/** The part taken out showed it, or what was done cured the fault. */
	shownBy: z.enum(['part', 'cure']),
	/** Which part, or what was done. */
	note: Line.min(1, issue('field.required')),
	person: Id,
	at: Moment
});

export type VisitOf = z.infer<typeof VisitOf>;
export type Since = z.infer<typeof Since>;
export type Look = z.infer<typeof Look>;
export type CaseOutcome = z.infer<typeof CaseOutcome>;
export type Trial = z.infer<typeof Trial>;
