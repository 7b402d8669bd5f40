/** Photos of valves: taken in through a decoder, made small, stripped of where and when they were taken. */
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import type { EvidenceCode, Person } from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { message, type Message } from '@zinc-ledger/core';

/** What one photo may weigh as it is sent. */
export const MAX_BYTES = 12 * 1024 * 1024;
/** More than any phone's picture has; each takes some bytes of memory while it is decoded. */
const MAX_PIXELS = 60_000_000;
/** Of a picture that can only be decoded whole, which takes many times the memory. */
const MAX_WHOLE = 26_000_000;

// One picture at a time, and nothing kept of the last.
sharp.concurrency(1);
sharp.cache(false);
const MAX_PER_STATION = 12;
const TAKEN = ['jpeg', 'png', 'webp'];
const SIDE = 1600;
const THUMBNAIL_SIDE = 240;

export interface Photo {
	readonly id: string;
	/** Null for what came with a head, and for the paper of a kit. */
	readonly station: string | null;
	/** The mark that it shows. */
	readonly evidence: EvidenceCode | null;
	readonly width: number;
	readonly height: number;
	readonly person: string;
	readonly at: string;
}

export interface MadeSmall {
	readonly width: number;
	readonly height: number;
	readonly content: Buffer;
	readonly thumbnail: Buffer;
}

/**
 * Decodes a photo and makes it small enough to keep. What it is, is told by its
 * content, whatever it is called; nothing but its pixels is kept.
 *
 * @returns what was made of it, or what is wrong with it
 */
export function makeSmall(sent: Buffer): Promise<MadeSmall | { problem: Message }> {
	const made = turn.then(() => decoded(sent));
	turn = made.catch(() => undefined);
	return made;
}
/** Settles once the photo before is done. */
let turn: Promise<unknown> = Promise.resolve();

async function decoded(sent: Buffer): Promise<MadeSmall | { problem: Message }> {
	if (sent.length > MAX_BYTES) return { problem: message('photo.too-large') };
	try {
		const image = sharp(sent, { limitInputPixels: MAX_PIXELS, failOn: 'error' });
		const { format, width, height, pages, isProgressive } = await image.metadata();
		if (!TAKEN.includes(format) || (pages ?? 1) > 1) {
			return { problem: message('photo.not-supported') };
		}
		if (width * height > MAX_PIXELS) {
			return { problem: message('photo.unpacks-too-large') };
		}
		if (isProgressive && width * height > MAX_WHOLE) {
			return { problem: message('photo.progressive-too-large') };
		}
		const inside = (of: Buffer, side: number) =>
			sharp(of, { limitInputPixels: MAX_PIXELS, failOn: 'error', sequentialRead: true })
				.rotate()
				.resize(side, side, { fit: 'inside', withoutEnlargement: true })
				.webp({ quality: 82 });
		const { data, info } = await inside(sent, SIDE).toBuffer({ resolveWithObject: true });
		const thumbnail = await inside(data, THUMBNAIL_SIDE).toBuffer();
		return { width: info.width, height: info.height, content: data, thumbnail };
	} catch (error) {
		const tooLarge = /pixel limit/i.test((error as Error).message);
		return {
			problem: tooLarge ? message('photo.unpacks-too-large') : message('photo.not-whole')
		};
	}
}

/** What a photo is of: a valve of a job, a mark seen on it, what came with its head, or the paper of a kit. */
export type Pictured =
	| {
			readonly job: string;
			readonly station: string | null;
			readonly evidence?: EvidenceCode | null;
	  }
	| { readonly kit: string };

/** Keeps a photo with what it is of; a problem when that has its fill. */
export async function keepPhoto(
	db: Database,
	of: Pictured,
	made: MadeSmall,
	by: Person
): Promise<Photo | { problem: Message }> {
	const [table, owner] = 'kit' in of ? (['kit', of.kit] as const) : (['job', of.job] as const);
	const { station = null, evidence = null } = 'kit' in of ? {} : of;
	return inTransaction(db, async (trx) => {
		// Those who bring photos of one thing at once are counted one after the other.
		await trx.selectFrom(table).select('id').where('id', '=', owner).forUpdate().execute();
		const there = await trx
			.selectFrom('photo')
			.select((select) => select.fn.countAll<string>().as('count'))
			.where(table === 'kit' ? 'kit_id' : 'job_id', '=', owner)
			.where('station', 'is not distinct from', station)
			.where('evidence', 'is not distinct from', evidence)
			.executeTakeFirstOrThrow();
		if (Number(there.count) >= MAX_PER_STATION) {
			return { problem: message('photo.enough', { station, max: MAX_PER_STATION }) };
		}
		const row = await trx
			.insertInto('photo')
			.values({
				id: uuid(),
				job_id: table === 'job' ? owner : null,
				kit_id: table === 'kit' ? owner : null,
				station,
				evidence,
				...made,
				person_id: by.id
			})
			.returning(['id', 'at'])
			.executeTakeFirstOrThrow();
		const { width, height } = made;
		return {
			id: row.id,
			station,
			evidence,
			width,
			height,
			person: by.id,
			at: row.at.toISOString()
		};
	});
}

/** The photos of a job, without their content. */
export const listPhotos = (db: Database, jobId: string): Promise<Photo[]> =>
	photosWhere(db, 'job_id', jobId);

/** The photos of a kit's paper, without their content. */
export const photosOfKit = (db: Database, kitId: string): Promise<Photo[]> =>
	photosWhere(db, 'kit_id', kitId);

async function photosWhere(
	db: Database,
	column: 'job_id' | 'kit_id',
	id: string
): Promise<Photo[]> {
	const rows = await db
		.selectFrom('photo')
		.select(['id', 'station', 'evidence', 'width', 'height', 'person_id', 'at'])
		.where(column, '=', id)
		.orderBy('at')
		.execute();
	return rows.map(({ person_id, at, evidence, ...photo }) => ({
		...photo,
		evidence: evidence as EvidenceCode | null,
		person: person_id,
		at: at.toISOString()
	}));
}

/** The content of a photo as WebP; undefined when there is none. */
export async function photoContent(
	db: Database,
	id: string,
	size: 'content' | 'thumbnail'
): Promise<Buffer | undefined> {
	const row = await db
		.selectFrom('photo')
		.select(`${size} as bytes`)
		.where('id', '=', id)
		.executeTakeFirst();
	return row?.bytes as Buffer | undefined;
}
