/** Whether the server's disk has room, as the last thing kept there found it, and as the disk says itself. */
import { statfs } from 'node:fs/promises';

/** With less than this a database and its log are about to stop. */
const MIN_BYTES = 16 * 1024 * 1024;
/** How long a refusal for want of room counts. */
const COUNTS = 10_000;
let refusedAt = Number.NEGATIVE_INFINITY;

/** Notes that something could not be kept for want of room. */
export function noteNoRoom(): void {
	refusedAt = Date.now();
}

/** False where the disk is full, or as good as. */
export async function hasRoom(folder = process.env.ZINC_DATA ?? '.'): Promise<boolean> {
	if (Date.now() - refusedAt < COUNTS) return false;
	try {
		const { bavail, bsize } = await statfs(folder);
		return bavail * bsize >= MIN_BYTES;
	} catch {
		return true;
	}
}
