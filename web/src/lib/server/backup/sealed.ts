/**
 * Backups under a passphrase: the file as the `age` program writes and opens it, so that it
 * is read without this program too.
 */
import { createReadStream, createWriteStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { Readable, Writable } from 'node:stream';
import { Decrypter, Encrypter } from 'age-encryption';
import { NotABackup } from './file';

const FIRST_LINE = 'age-encryption.org/v1\n';

const reading = (file: string) =>
	Readable.toWeb(createReadStream(file)) as ReadableStream<Uint8Array>;
const writing = (file: string) =>
	Writable.toWeb(createWriteStream(file, { mode: 0o600 })) as WritableStream<Uint8Array>;

/** Whether a file is under a passphrase. */
export async function isSealed(file: string): Promise<boolean> {
	const handle = await open(file);
	const { buffer } = await handle.read(Buffer.alloc(FIRST_LINE.length), 0, FIRST_LINE.length, 0);
	await handle.close();
	return buffer.toString('latin1') === FIRST_LINE;
}

/** Puts a file under a passphrase, in another. */
export async function seal(file: string, sealed: string, passphrase: string): Promise<void> {
	const encrypter = new Encrypter();
	encrypter.setPassphrase(passphrase);
	await (await encrypter.encrypt(reading(file))).pipeTo(writing(sealed));
}

/**
 * Opens a file that is under a passphrase, into another.
 *
 * @throws {@link NotABackup} where the passphrase is another, or any byte has changed
 */
export async function unseal(file: string, opened: string, passphrase: string): Promise<void> {
	const decrypter = new Decrypter();
	decrypter.addPassphrase(passphrase);
	try {
		await (await decrypter.decrypt(reading(file))).pipeTo(writing(opened));
	} catch (error) {
		throw new NotABackup(
			`${file} does not open: another passphrase, or it is not as it was made (${(error as Error).message}).`
		);
	}
}
