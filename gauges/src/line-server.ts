/** A device at the end of a cable: plain text lines over TCP on loopback, to whoever listens. */
import { createServer, type Server, type Socket } from 'node:net';

export class LineServer {
	readonly port: number;
	#server: Server | null = null;
	readonly #sockets = new Set<Socket>();
	#flood: ReturnType<typeof setInterval> | undefined;

	constructor(port: number) {
		this.port = port;
	}

	get broken(): boolean {
		return this.#server === null;
	}

	get listeners(): number {
		return this.#sockets.size;
	}

	/** Plugs the cable in. */
	open(): Promise<void> {
		if (this.#server) return Promise.resolve();
		const server = createServer((socket) => {
			this.#sockets.add(socket);
			socket.on('error', () => undefined);
			socket.on('close', () => this.#sockets.delete(socket));
		});
		this.#server = server;
		return new Promise((opened, failed) => {
			server.once('error', failed);
			server.listen(this.port, '127.0.0.1', () => opened());
		});
	}

	/** Pulls it out: whoever listens is cut off in the middle of a line. */
	break(): void {
		clearInterval(this.#flood);
		for (const socket of this.#sockets) {
			socket.write('H 4');
			socket.destroy();
		}
		this.#server?.close();
		this.#server = null;
	}

	send(line: string): void {
		for (const socket of this.#sockets) {
			// A listener that does not read is not waited for.
			if (socket.writableLength < 65_536) socket.write(`${line}\n`);
		}
	}

	/** Sends lines far faster than a gauge would, for so many seconds; again ends the one before. */
	flood(linesASecond: number, seconds: number, line: () => string): void {
		clearInterval(this.#flood);
		const each = 20;
		const end = Date.now() + seconds * 1000;
		this.#flood = setInterval(() => {
			if (Date.now() > end) clearInterval(this.#flood);
			for (let i = 0; i < (linesASecond * each) / 1000; i++) this.send(line());
		}, each);
	}
}
