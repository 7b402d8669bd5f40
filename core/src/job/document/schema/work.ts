/** What was seen on the valves and done to the head. */
import { z } from 'zod';
import {
	CONTACTS,
	SEALS_FOUND,
	GROOVES_SEEN,
	SEAT_MARKS,
	STEMS_SEEN,
	TIPS_SEEN
} from '../../inspection/index.ts';
import { issue } from '../../../foundation/message/index.ts';
import { KINDS } from '../../../foundation/station/index.ts';
import {
	Id,
	Length,
	Line,
	Moment,
	Name,
	PositiveSize,
	Size
} from '../../../foundation/units/schema.ts';
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
	/** Where the seat touches the face; left out where nobody looked. */
	contact: z.enum(CONTACTS).optional(),
	note: Line.optional(),
	person: Id,
	at: Moment
});

/** What stood at a station when it came apart, and where its parts were put; the newest of a station counts. */
export const AsFound = z.strictObject({
	id: Id,
	station: StationLabel,
	/** Under its spring, thickest first; none where there were none. */
	shims: z.array(PositiveSize).max(4, issue('field.max', { max: 4, unit: 'shims' })),
	/** Thickness of the locator; 0 where there was none. */
	locator: Size.optional(),
	/** What the locks were marked or measured, against standard ones. */
	lockOffset: Length.optional(),
	lashCap: z.boolean().optional(),
	damper: z.boolean().optional(),
	seal: z.enum(SEALS_FOUND).optional(),
	/** Where lifter, hydraulic element and cap were put. */
	put: Line.optional(),
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

export type AsFound = z.infer<typeof AsFound>;
export type Inspection = z.infer<typeof Inspection>;
export type HeadWork = z.infer<typeof HeadWork>;
