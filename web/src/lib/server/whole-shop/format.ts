/**
 * A whole shop in the open formats, as one folder:
 *
 * - `shop.json`, what stands in no format of its own: people, policies, gauges, sets, heads;
 * - `parts.json` and `kits.json`, and the same as CSV;
 * - `jobs/NUMBER/job.json`, beside it `signed/REVISION.json` as it was signed, with its CSV
 *   and PDF, and `photos/ID.webp`;
 * - `springs/SET/SWEEP.json` and CSV.
 */
import { z } from 'zod';
import { fromVersion2 } from '@zinc-ledger/core/file';
import { Gauge, GaugeCheck } from '@zinc-ledger/core/gauge-schema';
import { Template } from '@zinc-ledger/core/template-schema';

export const FORMAT = 'zinc-ledger/shop';
export const VERSION = 2;

const Id = z.uuid();
const At = z.iso.datetime();
const figure = z.number().nullable();

export const Shop = z.strictObject({
	format: z.literal(FORMAT),
	version: z.literal(VERSION),
	exportedAt: At,
	/** Public keys that its sheets are signed with, oldest first; none in exports from before shops had one. */
	keys: z.array(z.string().regex(/^[\w-]{43}$/)).optional(),
	people: z.array(
		z.strictObject({
			id: Id,
			name: z.string(),
			initials: z.string(),
			units: z
				.strictObject({ length: z.enum(['in', 'mm']), load: z.enum(['lbf', 'N', 'kgf']) })
				.nullable()
		})
	),
	/** Every change of what the shop decides for its jobs, oldest first. */
	policies: z.array(
		z.strictObject({
			field: z.string(),
			from: z.string().nullable(),
			to: z.string(),
			person: Id,
			at: At
		})
	),
	/** Every change of what a part may run, oldest first. */
	serviceLimits: z.array(
		z.strictObject({
			part: Id,
			duty: z.string().nullable(),
			hours: figure,
			runs: figure,
			kilometres: figure,
			cycles: figure,
			overSpeed: figure,
			person: Id,
			at: At
		})
	),
	gauges: z.array(Gauge),
	checks: z.array(GaugeCheck),
	templates: z.array(Template),
	/** What is used no longer, by id. */
	retired: z.strictObject({
		parts: z.array(Id),
		kits: z.array(Id),
		templates: z.array(Id)
	}),
	/** Heads wherever they are fitted, and the jobs that each came on. */
	heads: z.array(
		z.strictObject({
			id: Id,
			engine: Id.nullable(),
			place: z.string(),
			mark: z.string().nullable(),
			on: z.array(z.strictObject({ job: Id, head: z.string() }))
		})
	),
	sets: z.array(
		z.strictObject({
			id: Id,
			name: z.string(),
			card: Id.nullable(),
			job: Id.nullable(),
			seat: z.string(),
			lift: z.string(),
			build: z.string().nullable(),
			limits: z.record(z.string(), z.number()).nullable(),
			person: Id,
			at: At,
			springs: z.array(
				z.strictObject({
					id: Id,
					tag: z.string(),
					measured: z.record(z.string(), z.unknown()),
					/** Its sweeps, oldest first, in files of their own. */
					sweeps: z.array(z.strictObject({ id: Id, person: Id }))
				})
			)
		})
	),
	/** Jobs in the order they were taken in, by the names of their folders. */
	jobs: z.array(
		z.strictObject({
			id: Id,
			folder: z.string().regex(/^[\w-]+$/),
			/** Signed sheets, oldest first: how many entries the job had, and by whom each is. */
			signed: z.array(z.strictObject({ id: Id, revision: z.int(), entries: z.int(), person: Id }))
		})
	),
	photos: z.array(
		z.strictObject({
			id: Id,
			/** The job's folder, or null for the paper of a kit. */
			folder: z.string().nullable(),
			kit: Id.nullable(),
			station: z.string().nullable(),
			evidence: z.string().nullable(),
			person: Id,
			at: At
		})
	)
});
export type Shop = z.infer<typeof Shop>;

/** Where a photo of a shop lies in its folder. */
export const photoFile = ({ id, folder }: Shop['photos'][number]): string =>
	folder === null ? `kits/${id}.webp` : `jobs/${folder}/photos/${id}.webp`;

/** Reads what `shop.json` has, of this version or of the first, whose documents had the names of version 2 of a job. */
export function readShop(value: unknown) {
	const isFirst = (value as { version?: unknown } | null)?.version === 1;
	return Shop.safeParse(isFirst ? { ...fromVersion2(value as object), version: VERSION } : value);
}
