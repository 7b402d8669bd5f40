/** Another client, in a process of its own: it asks for a page until it is told to stop, and then tells how long each took. */
import { send } from '../support/send.ts';

export interface Probe {
	readonly port: number;
	readonly path: string;
	readonly headers: Readonly<Record<string, string>>;
}
const EACH = 40;

const { port, path, headers } = JSON.parse(process.argv[2]!) as Probe;
const times: number[] = [];
let isOver = false;
process.once('message', () => (isOver = true));
process.send!('ready');
while (!isOver) {
	const begun = performance.now();
	const { status } = await send(String(port), { method: 'GET', path, headers, body: Buffer.of() });
	if (status !== 200) throw new Error(`the other client was answered with ${status}`);
	times.push(performance.now() - begun);
	await new Promise((later) => setTimeout(later, EACH));
}
process.send!(times.toSorted((a, b) => a - b));
