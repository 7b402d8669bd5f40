/** The open format of a signed sheet. */
import { z } from 'zod';
import { issue } from '../../foundation/message/index.ts';
import { SCOPE_NEEDS, SCOPES } from '../../job/document/index.ts';
import { Job, Person, StationLabel } from '../../job/document/schema.ts';
import { Id, Moment } from '../../foundation/units/schema.ts';

declare module '../../foundation/message/issue.ts' {
	interface FieldMessages {
		'field.sha256': null;
		'field.ed25519': null;
	}
}

export const SIGNED_FORMAT = 'zinc-ledger/signed-sheet';
export const SIGNED_VERSION = 4;

const Digest = z.string().regex(/^[0-9a-f]{64}$/, issue('field.sha256'));

/** Bytes of an Ed25519 key or signature in base64url, without padding. */
const bytes = (count: number) =>
	z
		.string()
		.regex(new RegExp(`^[A-Za-z0-9_-]{${Math.ceil((count * 4) / 3)}}$`), issue('field.ed25519'));

const Signing = z.strictObject({
	id: Id,
	/** 1 for the first sheet of a job, one more for each that revises it. */
	revision: z.int().min(1),
	/** The sheet that this one takes the place of, and its SHA-256. */
	supersedes: z.strictObject({ id: Id, sha256: Digest }).optional(),
	person: Person,
	at: Moment,
	/** What the signature says; none in sheets signed before scopes. */
	scope: z
		.strictObject({
			name: z.enum(SCOPES),
			stations: z.array(StationLabel).min(1).max(80),
			/** What the job did without, and why. */
			leftOut: z.array(z.strictObject({ need: z.enum(SCOPE_NEEDS), reason: z.string() }))
		})
		.optional()
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

const Accepted = z.strictObject({ by: z.string(), reason: z.string() }).optional();

/** What was open when it was signed, and who accepted it and why. */
const OpenItem = z.strictObject({
	place: z.string(),
	/** Code and quantities, with the words they were signed in. */
	says: z.looseObject({ code: z.string(), text: z.string() }),
	accepted: Accepted
});

const common = {
	format: z.literal(SIGNED_FORMAT),
	signing: Signing,
	sheet: FrozenFigures,
	/** The stack with the least left before coil bind, as it was drawn; none in the earliest sheets. */
	section: z
		.strictObject({ station: z.string(), drawing: z.record(z.string(), z.json()) })
		.optional(),
	/** The head then and now, where it was here before; none on a first visit, or in sheets signed before visits. */
	visit: z.record(z.string(), z.json()).optional(),
	/** SHA-256 of the canonical JSON of everything else but the signature. */
	sha256: Digest
};

export const SignedSheet = z.strictObject({
	...common,
	version: z.literal(SIGNED_VERSION),
	job: Job,
	open: z.array(OpenItem),
	/** The shop's public key. */
	publicKey: bytes(32),
	/** Ed25519 signature, by that key, of the canonical JSON of everything but `sha256` and itself. */
	signature: bytes(64)
});

/** A sheet of any version, its job not looked into: the text is never rewritten. */
export const AnySignedSheet = z.discriminatedUnion('version', [
	SignedSheet.extend({ job: z.unknown() }),
	// Its job, its sheet and its open items have the names of version 2 of the job.
	SignedSheet.extend({ version: z.literal(3), job: z.unknown() }),
	// Before shops had a key.
	z.strictObject({ ...common, version: z.literal(2), job: z.unknown(), open: z.array(OpenItem) }),
	z.strictObject({
		...common,
		version: z.literal(1),
		job: z.unknown(),
		open: z.array(z.strictObject({ place: z.string(), text: z.string(), accepted: Accepted }))
	})
]);

export type Signing = z.infer<typeof Signing>;
export type SignedSheet = z.infer<typeof SignedSheet>;
export type AnySignedSheet = z.infer<typeof AnySignedSheet>;
