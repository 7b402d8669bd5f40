/** What was seen on the valves and done to the head. */
import { z } from 'zod';
import { GROOVES_SEEN, SEAT_MARKS, STEMS_SEEN, TIPS_SEEN } from '../../inspection/index.ts';
import { issue } from '../../message/index.ts';
import { KINDS } from '../../station/index.ts';
import { Id, Length, Line, Moment, Name, PositiveSize } from '../../units/schema.ts';
import { WORKS } from '../head-work.ts';
import { StationLabel } from './station.ts';

const Kind = z.enum(KINDS);
/** What was seen on a station's valve; the newest of a station counts. */
export const Inspection = z.strictObject({
	id: Id,
	station: StationLabel,
	condition: z.enum(['new', 'reused']),
	tip: z.enum(TIPS_SEEN),
	groove: z.enum(GROOVES_SEEN),
	stem: z.enum(STEMS_SEEN),
	seatMark: z.enum(SEAT_MARKS),
	note: Line.optional(),
	person: Id,
	at: Moment
});

/** Something done to the head; what it changes makes earlier readings stale. */
export const HeadWork = z.strictObject({
	id: Id,
	work: z.enum(WORKS),
	/** The head it was done to; all of them when left out. */
	head: Name.optional(),
	/** The kind of valves it was done to; both when left out. */
	kind: Kind.optional(),
	/** Single stations it was done to. */
	stations: z.array(StationLabel).min(1, issue('field.required')).max(80).optional(),
	/** What was taken off the deck. */
	cut: PositiveSize.optional(),
	/** How much thicker the gasket is than the one before. */
	thicker: Length.optional(),
	/** The entry that this one takes back; its note is the reason. */
	withdraws: Id.optional(),
	note: Line.optional(),
	person: Id,
	at: Moment
});

export type Inspection = z.infer<typeof Inspection>;
export type HeadWork = z.infer<typeof HeadWork>;
