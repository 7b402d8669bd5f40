/**
 * A log on the disk that stays small and never takes the program with it: it rolls over by
 * size, and where there is no room its lines are dropped until there is.
 */
import { closeSync, fstatSync, openSync, renameSync, writeSync } from 'node:fs';

const MAX_BYTES = 5 * 1024 * 1024;
/** Logs kept besides the one that is written. */
const KEPT = 3;
/** After a line that could not be written the next is tried no sooner, in milliseconds. */
const PAUSE = 1000;

export class RollingFile {
	readonly #path: string;
	readonly #most: number;
	#file: number | null = null;
	#size = 0;
	#notBefore = 0;
	#dropped = 0;

	constructor(path: string, max = MAX_BYTES) {
		this.#path = path;
		this.#most = max;
	}

	write(line: string): void {
		if (Date.now() < this.#notBefore) return void this.#dropped++;
		try {
			if (this.#file === null) this.#open();
			if (this.#size > this.#most) this.#roll();
			if (this.#dropped > 0) this.#put(`{"level":40,"msg":"${this.#dropped} lines dropped"}\n`);
			this.#dropped = 0;
			this.#put(line);
		} catch {
			this.#dropped++;
			this.#notBefore = Date.now() + PAUSE;
			this.#close();
		}
	}

	/** Writes a line whole; half of one, where the room ends in it, is ended before the next. */
	#put(line: string): void {
		const bytes = Buffer.from(line);
		const written = writeSync(this.#file!, bytes);
		this.#size += written;
		if (written < bytes.length) {
			this.#isCut = true;
			throw new Error('no-room');
		}
	}
	#isCut = false;

	#open(): void {
		this.#file = openSync(this.#path, 'a', 0o600);
		this.#size = fstatSync(this.#file).size;
		if (this.#isCut) this.#put('\n');
		this.#isCut = false;
	}

	#roll(): void {
		this.#close();
		for (let i = KEPT; i > 0; i--) {
			const from = i === 1 ? this.#path : `${this.#path}.${i - 1}`;
			try {
				renameSync(from, `${this.#path}.${i}`);
			} catch {
				// There are not so many yet.
			}
		}
		this.#open();
	}

	#close(): void {
		if (this.#file === null) return;
		try {
			closeSync(this.#file);
		} catch {
			// It is as good as closed.
		}
		this.#file = null;
	}
}
