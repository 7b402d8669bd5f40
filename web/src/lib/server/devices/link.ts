/**
 * The line to one gauge: connects, reads lines, connects again when it drops
 * out. A device that floods or sends malformed lines is shown as such; what it sends is
 * bounded before it is kept anywhere.
 */
import { connect, type Socket } from 'node:net';
import { reachable } from './reachable';
import { lineReader, LONGEST_LINE, type Gauge } from '@zinc-ledger/core';

export type LinkState = 'connecting' | 'connected' | 'away' | 'malformed' | 'flooding';

/** One reading as it goes to the browsers: height text, load text, milliseconds since 1970. */
export type Sent = readonly [height: string | null, load: string | null, at: number];

export interface News {
	readonly state: LinkState;
	readonly readings: readonly Sent[];
	/** Lines that were no readings, since the link was made. */
	readonly malformed: number;
	/** Lines passed over because there were too many, since the link was made. */
	readonly dropped: number;
}

/** Readings go out together so often. */
const EACH = 60;
/** Lines a millisecond beyond which they are passed over: no gauge reads so fast. */
const FASTEST = 2;
/** Lines that may come at once, held up on the way or by a busy machine. */
const MAX_AT_ONCE = 1000;
const FIRST_PAUSE = 300;
const LONGEST_PAUSE = 4000;
/** No line in so many milliseconds of malformed makes the state clear again. */
const SETTLED = 2000;

export class DeviceLink {
	readonly #gauge: Gauge & { link: NonNullable<Gauge['link']> };
	readonly #read: ReturnType<typeof lineReader>;
	readonly #listeners = new Set<(news: News) => void>();
	#socket: Socket | null = null;
	#rest = '';
	#pending: Sent[] = [];
	#allowed = MAX_AT_ONCE;
	#takenAt = performance.now();
	#malformed = 0;
	#dropped = 0;
	#state: LinkState = 'connecting';
	#badUntil = 0;
	#pause = FIRST_PAUSE;
	#attempt = 0;
	#again: ReturnType<typeof setTimeout> | undefined;
	#timer: ReturnType<typeof setInterval> | undefined;
	#said: LinkState | null = null;

	constructor(gauge: Gauge & { link: NonNullable<Gauge['link']> }) {
		this.#gauge = gauge;
		this.#read = lineReader(gauge.link.pattern, {
			length: gauge.lengthUnit,
			load: gauge.loadUnit
		});
	}

	get listeners(): number {
		return this.#listeners.size;
	}

	get state(): LinkState {
		return this.#state;
	}

	/** Listens until the returned function is called. */
	listen(listener: (news: News) => void): () => void {
		this.#listeners.add(listener);
		listener(this.#news([]));
		if (this.#listeners.size === 1) void this.#open();
		return () => {
			this.#listeners.delete(listener);
			if (this.#listeners.size === 0) this.close();
		};
	}

	close(): void {
		this.#attempt++;
		clearTimeout(this.#again);
		clearInterval(this.#timer);
		this.#timer = undefined;
		this.#socket?.destroy();
		this.#socket = null;
		this.#pending = [];
		this.#rest = '';
	}

	/** Connects to where a gauge may be; what its name stands for is looked up each time. */
	async #open(): Promise<void> {
		this.#timer ??= setInterval(() => this.#tell(), EACH);
		const { host, port } = this.#gauge.link;
		const attempt = ++this.#attempt;
		const address = await reachable(host);
		// Meanwhile everybody may have left, or come again.
		if (attempt !== this.#attempt || !this.#timer) return;
		if (address === null) return this.#later();
		const socket = connect({ host: address, port });
		this.#socket = socket;
		socket.setEncoding('utf8');
		socket.setKeepAlive(true, 5000);
		socket.on('connect', () => {
			this.#state = 'connected';
			this.#pause = FIRST_PAUSE;
		});
		socket.on('data', (text: string) => this.#take(text));
		socket.on('error', () => undefined);
		socket.on('close', () => {
			if (this.#socket === socket) this.#later();
		});
	}

	#later(): void {
		this.#state = 'away';
		// Half a line that was cut off is no reading.
		this.#rest = '';
		this.#again = setTimeout(() => void this.#open(), this.#pause);
		this.#pause = Math.min(this.#pause * 2, LONGEST_PAUSE);
	}

	#take(text: string): void {
		const lines = (this.#rest + text).split('\n');
		this.#rest = lines.pop()!.slice(0, LONGEST_LINE + 1);
		const now = performance.now();
		this.#allowed = Math.min(MAX_AT_ONCE, this.#allowed + FASTEST * (now - this.#takenAt));
		this.#takenAt = now;
		for (const line of lines) {
			if (--this.#allowed < 0) {
				this.#allowed = 0;
				this.#dropped++;
				this.#turnBad('flooding');
				continue;
			}
			const reading = this.#read(line.replace(/\r$/, ''));
			if (reading) {
				this.#pending.push([reading.heightText ?? null, reading.loadText ?? null, Date.now()]);
			} else if (line.trim() !== '') {
				this.#malformed++;
				this.#turnBad('malformed');
			}
		}
	}

	#turnBad(state: LinkState): void {
		this.#state = state;
		this.#badUntil = Date.now() + SETTLED;
	}

	#tell(): void {
		const readings = this.#pending;
		this.#pending = [];
		const isBad = this.#state === 'malformed' || this.#state === 'flooding';
		if (isBad && Date.now() > this.#badUntil) this.#state = 'connected';
		if (readings.length === 0 && this.#state === this.#said) return;
		this.#said = this.#state;
		const news = this.#news(readings);
		for (const listener of this.#listeners) listener(news);
	}

	#news(readings: readonly Sent[]): News {
		return { state: this.#state, readings, malformed: this.#malformed, dropped: this.#dropped };
	}
}
