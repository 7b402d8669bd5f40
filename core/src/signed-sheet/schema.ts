/** The open format of a signed sheet. */
import { z } from 'zod';
import { Job, Person } from '../document/schema.ts';
import { Id, Moment } from '../units/schema.ts';

export const SIGNED_FORMAT = 'zinc-ledger/signed-sheet';
export const SIGNED_VERSION = 1;

const Digest = z.string().regex(/^[0-9a-f]{64}$/, 'a SHA-256 as 64 lower-case hexadecimal digits');

const Signing = z.strictObject({
	id: Id,
	/** 1 for the first sheet of a job, one more for each that revises it. */
	revision: z.int().min(1),
	/** The sheet that this one takes the place of, and its SHA-256. */
	supersedes: z.strictObject({ id: Id, sha256: Digest }).optional(),
	person: Person,
	at: Moment
});

/** Every figure worked out from the job, frozen; sentences in the units it was signed in. */
const FrozenFigures = z
	.object({
		units: z.strictObject({
			figures: z.string(),
			sentences: z.strictObject({ length: z.enum(['in', 'mm']), load: z.enum(['lbf', 'N', 'kgf']) })
		})
	})
	.catchall(z.json());

/** What was open when it was signed, and who took it on and why. */
const OpenPoint = z.strictObject({
	place: z.string(),
	text: z.string(),
	accepted: z.strictObject({ by: z.string(), reason: z.string() }).optional()
});

export const SignedSheet = z.strictObject({
	format: z.literal(SIGNED_FORMAT),
	version: z.literal(SIGNED_VERSION),
	signing: Signing,
	job: Job,
	sheet: FrozenFigures,
	open: z.array(OpenPoint),
	/** The stack with the least left before coil bind, as it was drawn; none in sheets of earlier versions. */
	section: z
		.strictObject({ station: z.string(), drawing: z.record(z.string(), z.json()) })
		.optional(),
	/** SHA-256 of the canonical JSON of everything else. */
	sha256: Digest
});

export type Signing = z.infer<typeof Signing>;
export type SignedSheet = z.infer<typeof SignedSheet>;
