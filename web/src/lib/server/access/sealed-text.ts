/**
 * What is of use to a thief of the database alone: the hash of a PIN, which four digits do not
 * protect for long, and the secret of a second factor. Both are kept under a key that lies outside
 * of the database (AES-256-GCM).
 */
import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto';

const CIPHER = 'aes-256-gcm';
const MARK = 'sealed:1:';
const [NONCE, TAG, KEY] = [12, 16, 32];

/** A key as `.data/secrets/key` has it: 32 bytes, base64url. @throws where it is none */
function keyIn(text: string | undefined): Buffer {
	const key = Buffer.from(text ?? '', 'base64url');
	if (key.length === KEY) return key;
	throw new Error(
		'ZINC_KEY is not a key of 32 bytes: start with ./start, or see docs/operating.md'
	);
}

/** This machine's key. */
export const ownKey = (): string | undefined => process.env.ZINC_KEY;

export const isSealed = (kept: string): boolean => kept.startsWith(MARK);

/** Puts a text under a key. */
export function seal(text: string, key = ownKey()): string {
	const nonce = randomBytes(NONCE);
	const cipher = createCipheriv(CIPHER, keyIn(key), nonce);
	const content = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
	return MARK + Buffer.concat([nonce, cipher.getAuthTag(), content]).toString('base64url');
}

/** A text that is kept under a key, or in clear since an earlier release; null where the key is another. */
export function unseal(kept: string, key = ownKey()): string | null {
	if (!isSealed(kept)) return kept;
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
