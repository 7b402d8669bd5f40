/**
 * Backups that are encrypted, under a passphrase or to the owner's key: the file as the `age`
 * program writes and opens it, so that it is read without this program too.
 */
import { createReadStream, createWriteStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { Readable, Writable } from 'node:stream';
import { Decrypter, Encrypter, generateX25519Identity, identityToRecipient } from 'age-encryption';
import { NotABackup } from './file';

const FIRST_LINE = 'age-encryption.org/v1\n';

const reading = (file: string) =>
	Readable.toWeb(createReadStream(file)) as ReadableStream<Uint8Array>;
const writing = (file: string) =>
	Writable.toWeb(createWriteStream(file, { mode: 0o600 })) as WritableStream<Uint8Array>;

/** What a backup is encrypted with: a passphrase, or the public keys of those who may open it. */
export type Lock = { readonly passphrase: string } | { readonly recipients: readonly string[] };
/** What opens one. */
export type Opener = {
	readonly passphrase?: string | undefined;
	readonly key?: string | undefined;
};

/** What the environment says; nothing where backups are plain. */
export function lockInEnvironment({ env } = process): Lock | null {
	if (env.ZINC_PASSPHRASE) return { passphrase: env.ZINC_PASSPHRASE };
	return env.ZINC_BACKUP_RECIPIENT ? { recipients: [env.ZINC_BACKUP_RECIPIENT] } : null;
}
export const openerInEnvironment = ({ env } = process): Opener => ({
	passphrase: env.ZINC_PASSPHRASE,
	key: env.ZINC_BACKUP_KEY
});

/** A new pair: the public half encrypts, and the private half, which is kept elsewhere, opens. */
export async function newPair(): Promise<{ readonly key: string; readonly recipient: string }> {
	const key = await generateX25519Identity();
	return { key, recipient: await identityToRecipient(key) };
}

/** More than the first lines of an encrypted file, which say what opens it. */
const HEADER_WITHIN = 400;

/** What a file is encrypted with; null where it is not. */
export async function lockOf(file: string): Promise<'passphrase' | 'key' | null> {
	const handle = await open(file);
	const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEADER_WITHIN), 0, HEADER_WITHIN, 0);
	await handle.close();
	const header = buffer.toString('latin1', 0, bytesRead);
	if (!header.startsWith(FIRST_LINE)) return null;
	return header.startsWith('-> scrypt ', FIRST_LINE.length) ? 'passphrase' : 'key';
}

/** Encrypts a file into another. */
export async function seal(file: string, sealed: string, lock: Lock): Promise<void> {
	const encrypter = new Encrypter();
	if ('passphrase' in lock) encrypter.setPassphrase(lock.passphrase);
	else for (const recipient of lock.recipients) encrypter.addRecipient(recipient);
	await (await encrypter.encrypt(reading(file))).pipeTo(writing(sealed));
}

/**
 * Opens an encrypted file into another.
 *
 * @throws {@link NotABackup} where passphrase or key are missing or others, or any byte has changed
 */
export async function unseal(file: string, opened: string, by: Opener): Promise<void> {
	const decrypter = new Decrypter();
	const lock = await lockOf(file);
	if (lock === 'passphrase' && !by.passphrase)
		throw new NotABackup(`${file} is under a passphrase: give it in ZINC_PASSPHRASE.`);
	if (lock === 'key' && !by.key)
		throw new NotABackup(
			`${file} is encrypted to the owner’s key: give that key in ZINC_BACKUP_KEY.`
		);
	if (lock === 'passphrase') decrypter.addPassphrase(by.passphrase!);
	try {
		if (lock === 'key') decrypter.addIdentity(by.key!.trim());
		await (await decrypter.decrypt(reading(file))).pipeTo(writing(opened));
	} catch (error) {
		throw new NotABackup(
			`${file} does not open: another passphrase or key, or it is not as it was made (${(error as Error).message}).`
		);
	}
}
