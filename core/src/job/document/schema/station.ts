/** A valve station, and the tested spring that may stand at it. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import { KINDS } from '../../../foundation/station/index.ts';
import {
	Id,
	Length,
	Line,
	Load,
	Name,
	PositiveSize,
	Size
} from '../../../foundation/units/schema.ts';
import { StationParts } from './parts.ts';

declare module '../../../foundation/message/issue.ts' {
	interface FieldMessages {
		'field.station': null;
	}
}

const Kind = z.enum(KINDS);
/** Cylinder, I or E, and a letter where there are several of a kind: "3I", "12Eb". */
export const StationLabel = z.string().regex(/^\d{1,2}[IE][a-c]?$/, issue('field.station'));

export const StationEntry = z.strictObject({
	label: StationLabel,
	head: Name,
	cylinder: z.int().min(1).max(16),
	kind: Kind,
	along: z.number().min(0).max(16),
	across: z.number().min(0).max(1),
	/** Shims in the build, thickest against the head. */
	shims: z
		.array(PositiveSize)
		.max(4, issue('field.max', { max: 4, unit: 'shims' }))
		.default([]),
	/** Lock offset of this station where it differs from its kind's. */
	lockOffset: Length.optional(),
	/** Parts of this station in place of its kind's. */
	parts: StationParts.optional(),
	/** Tag of the tested spring that stands here. */
	spring: Name.optional(),
	/** A new spring of its card stands here, from the shelf, not tested yet. */
	newSpring: z.literal(true).optional()
});

/** A tagged spring that was tested, as a job carries it. */
export const TaggedSpring = z.strictObject({
	tag: Name,
	set: Line,
	/** The card it is of. */
	card: Id,
	points: z
		.array(z.strictObject({ height: PositiveSize, load: Load }))
		.min(2, issue('field.min', { min: 2, unit: 'points' }))
		.max(200),
	bind: PositiveSize.optional(),
	/** Half-width of the bind's 95 % interval. */
	bindUncertainty: Size.optional(),
	/** One standard deviation of its loads by the tester's own checks, as a part of the load. */
	loadDeviation: z.number().min(0).max(1).optional(),
	/** What it was tested on. */
	tester: Line.optional(),
	/** Tested before it ran: what it was at an earlier visit. */
	earlier: z.literal(true).optional()
});

export type TaggedSpring = z.infer<typeof TaggedSpring>;
export type StationEntry = z.infer<typeof StationEntry>;
