/** Random texts that let somebody in, and what is kept of them. */
import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

/** 256 bits, for cookies and links. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token: who reads the database cannot use it. */
export const keyOf = (token: string): string =>
	createHash('sha256').update(token, 'utf8').digest('hex');

/** Without letters that look alike. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

/** A code that is read off one screen and typed at another: 80 bits in four groups. */
export const newCode = (): string =>
	[...randomBytes(16)]
		.map((byte, i) => (i > 0 && i % 4 === 0 ? '-' : '') + LETTERS[byte % LETTERS.length]!)
		.join('');

/** A code as it is kept, however it was typed. */
export const codeKey = (typed: string): string =>
	keyOf(typed.toUpperCase().replace(/[^A-Z0-9]/g, ''));

/** Whether a secret that was given is the one there is; none is nobody's. */
export const isSameSecret = (given: string | undefined, kept: string | undefined): boolean =>
	given !== undefined &&
	Boolean(kept) &&
	timingSafeEqual(Buffer.from(keyOf(given)), Buffer.from(keyOf(kept!)));
