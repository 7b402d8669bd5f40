/** A body read no further than its limit: bytes and parts are counted as they arrive. */
import type { BodyLimit, Sent } from '$lib/access/body-limits';

export type BodyRead =
	| {
			readonly ok: true;
			readonly request: Request;
			/** The body of a file, which the request itself does not have then: each copy of it counts. */
			readonly sent?: Sent;
			/** Lets the next file in, once this one was answered. */
			readonly done: () => void;
	  }
	| { readonly ok: false; readonly why: 'too-large' | 'too-many-parts' | 'busy' | 'broken-off' };

const [AND, COMMA] = [0x26, 0x2c];

/**
 * What begins another part in a body of this type, a byte or the boundary of a form with files,
 * and how many parts there may be.
 */
function partsOf(type: string, { fields, values }: BodyLimit) {
	if (/^application\/x-www-form-urlencoded\b/i.test(type)) return { separator: AND, max: fields };
	if (/^application\/json\b/i.test(type)) return { separator: COMMA, max: values };
	const boundary = /^multipart\/form-data\b.*boundary="?([^";]+)/i.exec(type)?.[1];
	return boundary ? { separator: Buffer.from(`--${boundary}`), max: fields } : null;
}

/** How often a separator stands in a piece, no further than matters. */
function countIn(piece: Buffer, separator: number | Buffer, max: number): number {
	let count = 0;
	const length = typeof separator === 'number' ? 1 : separator.length;
	for (let at = piece.indexOf(separator); at >= 0 && count <= max; count++)
		at = piece.indexOf(separator, at + length);
	return count;
}

/** Files that are in memory at once, and that wait for that. */
const AT_ONCE = 2;
const WAITING = 32;
let reading = 0;
const waiting: (() => void)[] = [];

const NOTHING = () => undefined;

/** Waits until a file may be read; false where too many wait already. */
async function mayRead(): Promise<boolean> {
	if (reading < AT_ONCE) reading++;
	else if (waiting.length >= WAITING) return false;
	else await new Promise<void>((resolve) => waiting.push(resolve));
	return true;
}

/** The next that waits takes the place. */
function hasRead(): void {
	const next = waiting.shift();
	if (next) next();
	else reading--;
}

/**
 * Reads the body of a request into memory, up to its limit.
 *
 * @returns the request with its whole body at hand, or why it is refused; `done` is to be called
 * once a file was dealt with
 */
export async function bodyWithin(request: Request, limit: BodyLimit): Promise<BodyRead> {
	if (!request.body) return { ok: true, request, done: NOTHING };
	// What says of itself that it is too long is not even waited for.
	if (Number(request.headers.get('content-length') ?? 0) > limit.bytes)
		return { ok: false, why: 'too-large' };
	if (!limit.isFile) return readWithin(request, request.body, limit);
	if (!(await mayRead())) return { ok: false, why: 'busy' };
	const read = await readWithin(request, request.body, limit);
	if (read.ok) return { ...read, done: hasRead };
	hasRead();
	return read;
}

async function readWithin(
	request: Request,
	body: ReadableStream<Uint8Array>,
	limit: BodyLimit
): Promise<BodyRead> {
	const type = request.headers.get('content-type') ?? '';
	const counted = partsOf(type, limit);
	const pieces: Buffer[] = [];
	let [bytes, parts] = [0, 1];
	// Let go of and not cancelled where it is refused: that would end the connection before the answer.
	const reader = body.getReader();
	try {
		for (;;) {
			const { done, value } = await reader.read();
			if (done) break;
			const piece = Buffer.from(value.buffer, value.byteOffset, value.byteLength);
			bytes += piece.length;
			if (bytes > limit.bytes) return { ok: false, why: 'too-large' };
			if (counted) parts += countIn(piece, counted.separator, counted.max);
			if (counted && parts > counted.max) return { ok: false, why: 'too-many-parts' };
			pieces.push(piece);
		}
	} catch {
		return { ok: false, why: 'broken-off' };
	} finally {
		reader.releaseLock();
	}
	const { url, method, headers, signal } = request;
	if (limit.isFile) {
		const sent = { bytes: joined(pieces, bytes), type };
		return {
			ok: true,
			request: new Request(url, { method, headers, signal }),
			sent,
			done: NOTHING
		};
	}
	const whole = new Request(url, { method, headers, body: Buffer.concat(pieces), signal });
	return { ok: true, request: whole, done: NOTHING };
}

/** All pieces as one, each let go of once it is copied. */
function joined(pieces: Buffer[], length: number): ArrayBuffer {
	const whole = new Uint8Array(length);
	let at = 0;
	for (let piece = pieces.shift(); piece; piece = pieces.shift()) {
		whole.set(piece, at);
		at += piece.length;
	}
	return whole.buffer;
}
