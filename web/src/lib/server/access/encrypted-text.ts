/**
 * Texts that a stolen database must not give away: the hash of a PIN, because four digits are
 * guessed in minutes, and the secret of a second factor. They are encrypted with AES-256-GCM; the
 * key is not in the database.
 */
import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto';

const CIPHER = 'aes-256-gcm';
const MARK = 'encrypted:1:';
const [NONCE, TAG, KEY] = [12, 16, 32];

/** Returns the bytes of a key as `.data/secrets/key` has it (base64url). @throws unless it has 32 bytes */
function keyIn(text: string | undefined): Buffer {
	const key = Buffer.from(text ?? '', 'base64url');
	if (key.length === KEY) return key;
	throw new Error(
		'ZINC_KEY is not a key of 32 bytes: start with ./start, or see docs/operating.md'
	);
}

/** This machine's key. */
export const ownKey = (): string | undefined => process.env.ZINC_KEY;

const isEncrypted = (kept: string): boolean => kept.startsWith(MARK);

/** Returns a text encrypted with a key, this machine's unless another is given. */
export function encrypt(text: string, key = ownKey()): string {
	const nonce = randomBytes(NONCE);
	const cipher = createCipheriv(CIPHER, keyIn(key), nonce);
	const content = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
	return MARK + Buffer.concat([nonce, cipher.getAuthTag(), content]).toString('base64url');
}

/** Returns the text, also of one that an earlier release stored in clear; null if the key is another. */
export function decrypt(kept: string, key = ownKey()): string | null {
	if (!isEncrypted(kept)) return kept;
	const bytes = Buffer.from(kept.slice(MARK.length), 'base64url');
	const decipher = createDecipheriv(CIPHER, keyIn(key), bytes.subarray(0, NONCE));
	decipher.setAuthTag(bytes.subarray(NONCE, NONCE + TAG));
	try {
		const content = decipher.update(bytes.subarray(NONCE + TAG));
		return Buffer.concat([content, decipher.final()]).toString('utf8');
	} catch {
		return null;
	}
}
