/**
 * A backup as one file: a line that names the format and holds the checksum of all that follows,
 * a line of JSON that says what is in it, and PostgreSQL's own archive. `tail -n +3` leaves that.
 */
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { z } from 'zod';

const FORMAT = 'zinc-ledger/backup';
const VERSION = 2;
/** Versions that are read: the first had no key in it. */
const READ = [1, VERSION];
/** Format, version and a checksum of 64 digits. */
const FIRST_LINE = /^zinc-ledger\/backup (\d+) ([0-9a-f]{64})$/;
/** More than the first two lines ever are. */
const LINES_WITHIN = 64 * 1024;

const Contents = z.strictObject({
	madeAt: z.iso.datetime(),
	/** The newest migration of the database. */
	migration: z.string(),
	/** Rows by table. */
	rows: z.record(z.string(), z.int().min(0)),
	/** Bytes of the archive. */
	bytes: z.int().min(0),
	/** What PINs and second factors are under, where the whole file is encrypted. */
	key: z.string().optional()
});
export type Contents = z.infer<typeof Contents>;

/** A file that is no backup, or not as it was made. */
export class NotABackup extends Error {}

async function hashed(hash: ReturnType<typeof createHash>, file: string, start = 0) {
	for await (const chunk of createReadStream(file, { start })) hash.update(chunk as Buffer);
	return hash.digest('hex');
}

/**
 * Writes a backup; the file is there whole or not at all.
 *
 * @param archive what pg_dump wrote
 */
export async function writeBackup(file: string, archive: string, contents: Contents) {
	const about = `${JSON.stringify(contents)}\n`;
	const sum = await hashed(createHash('sha256').update(about), archive);
	const part = `${file}.${process.pid}.part`;
	try {
		const out = createWriteStream(part, { mode: 0o600 });
		out.write(`${FORMAT} ${VERSION} ${sum}\n${about}`);
		await pipeline(createReadStream(archive), out);
		const kept = await open(part);
		// A backup that a power cut takes back is none.
		await kept.sync();
		await kept.close();
		await rename(part, file);
	} catch (error) {
		await rm(part, { force: true });
		throw error;
	}
}

/**
 * What is in a backup, once every byte of it was looked at.
 *
 * @returns what it holds, and where its archive begins
 * @throws {@link NotABackup} where it is none, of a later version, or any byte of it has changed
 */
export async function readBackup(
	file: string
): Promise<{ readonly contents: Contents; readonly start: number }> {
	const head = Buffer.alloc(LINES_WITHIN);
	const handle = await open(file);
	const { bytesRead } = await handle.read(head, 0, LINES_WITHIN, 0);
	await handle.close();
	const first = head.indexOf('\n');
	const second = head.indexOf('\n', first + 1);
	const [, version, sum] = FIRST_LINE.exec(head.toString('latin1', 0, Math.max(0, first))) ?? [];
	if (sum === undefined || second < 0 || second >= bytesRead)
		throw new NotABackup(`${file} is no backup of this program.`);
	if (!READ.includes(Number(version)))
		throw new NotABackup(`${file} is of version ${version}; this program reads ${VERSION}.`);
	if ((await hashed(createHash('sha256'), file, first + 1)) !== sum)
		throw new NotABackup(`${file} is not as it was made: its checksum differs.`);
	const read = Contents.safeParse(JSON.parse(head.toString('utf8', first + 1, second)));
	if (!read.success) throw new NotABackup(`${file} does not say what is in it.`);
	return { contents: read.data, start: second + 1 };
}

/** Lays the archive of a backup into a file of its own. */
export const extractArchive = (file: string, start: number, archive: string) =>
	pipeline(createReadStream(file, { start }), createWriteStream(archive, { mode: 0o600 }));
