/** What was decided, accepted and written down. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import { Id, Line, Moment, Name } from '../../../foundation/units/schema.ts';
import { NOTE_SUBJECTS } from '../policies.ts';
import { StationLabel } from './station.ts';

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

/** A finding taken on by somebody, with the reason; the newest about a finding counts. */
export const Acceptance = z.strictObject({
	id: Id,
	/** The finding's key, which names rule, place and the figures compared. */
	finding: z.string().trim().min(1).max(400),
	accepted: z.boolean(),
	reason: Line.min(1, issue('field.required')),
	person: Id,
	at: Moment
});

/** Something written about the job or a station; private ones stay in the shop. */
export const Note = z.strictObject({
	id: Id,
	station: StationLabel.optional(),
	text: Line.min(1, issue('field.required')),
	private: z.boolean(),
	/** Figures that came as a file: what a flow bench wrote, a list. */
	file: z
		.strictObject({
			name: Name,
			text: z.string().max(20_000, issue('field.max', { max: 20_000, unit: 'characters' }))
		})
		.optional(),
	/** What it is about, where it is of a type that is looked for. */
	about: z.enum(NOTE_SUBJECTS).optional(),
	/** Holds the job back until it is settled: checking springs fitted, a seal to replace. */
	blocksSignOff: z.boolean(),
	/** The note that this one resolves. */
	resolves: Id.optional(),
	person: Id,
	at: Moment
});

export type Acceptance = z.infer<typeof Acceptance>;
export type Note = z.infer<typeof Note>;
export type Decision = z.infer<typeof Decision>;
