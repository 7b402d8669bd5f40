/**
 * The one line of a browser to the server: server-sent events of all that its tabs listen to.
 * It is opened anew when something more is listened to, and whenever it was lost for good.
 */

export interface LineHears {
	/** News of one topic, as JSON. */
	readonly message: (topic: string, text: string) => void;
	/** It is open, from now on: what went by before is to be asked for. */
	readonly opened: () => void;
	readonly lost: () => void;
}

const FIRST_PAUSE = 500;
const LONGEST_PAUSE = 8000;
/** Topics that come together make one line. */
const TOGETHER = 20;

export class Line {
	#source: EventSource | null = null;
	/** What the open line brings; more than is wanted now, until it is opened anew. */
	#brings = new Set<string>();
	#wanted: ReadonlySet<string> = new Set();
	#pause = FIRST_PAUSE;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#hears: LineHears;

	constructor(hears: LineHears) {
		this.#hears = hears;
	}

	/** Listens to these topics from now on; to none lets the line go. */
	listen(topics: ReadonlySet<string>): void {
		this.#wanted = topics;
		if (topics.size === 0) this.#close();
		else if (![...topics].every((topic) => this.#brings.has(topic))) this.#soon(TOGETHER);
	}

	#close(): void {
		clearTimeout(this.#timer);
		this.#source?.close();
		this.#source = null;
		this.#brings = new Set();
	}

	#soon(pause: number): void {
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => this.#open(), pause);
	}

	#open(): void {
		this.#close();
		if (this.#wanted.size === 0) return;
		this.#brings = new Set(this.#wanted);
		const source = new EventSource(`/api/live?topics=${[...this.#brings].join(',')}`);
		this.#source = source;
		source.onmessage = (event: MessageEvent<string>) => {
			const [topic, news] = JSON.parse(event.data) as [string, unknown];
			if (this.#wanted.has(topic)) this.#hears.message(topic, JSON.stringify(news));
		};
		source.onopen = () => {
			this.#pause = FIRST_PAUSE;
			this.#hears.opened();
		};
		source.onerror = () => {
			this.#hears.lost();
			// Turned away with a status, a browser does not try again by itself.
			if (source.readyState !== EventSource.CLOSED || this.#source !== source) return;
			this.#brings = new Set();
			this.#soon(this.#pause);
			this.#pause = Math.min(this.#pause * 2, LONGEST_PAUSE);
		};
	}
}
