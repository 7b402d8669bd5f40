/** The benches of the failover drill, and what came of their readings. See drill-failover.sh. */
import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { promisify } from 'node:util';
import pg from 'pg';

const run = promisify(execFile);
const ports = process.argv.slice(2);
const { KILL, PROMOTE, STANDBY_URL } = process.env as Record<
	'KILL' | 'PROMOTE' | 'STANDBY_URL',
	string
>;
/** Milliseconds between two readings of a bench, and for how long they go on before and after. */
const EACH = 20;
const BEFORE = 4000;
const AFTER = 4000;

const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as {
	id: string;
	readings: Record<string, unknown>[];
};
const pause = (time: number) => new Promise((later) => setTimeout(later, time));

interface Kept {
	readonly id: string;
	readonly at: number;
	/** How often it had to be sent. */
	readonly times: number;
}
const acknowledged: Kept[] = [];
let isOver = false;

/** Sends readings one after another, each until it is acknowledged, as a browser's outbox does. */
async function bench(port: string): Promise<void> {
	while (!isOver) {
		const id = randomUUID();
		const body = JSON.stringify({ ...job.readings[0], id });
		for (let times = 1; ; times++) {
			const status = await fetch(`http://127.0.0.1:${port}/api/jobs/${job.id}/readings`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body,
				signal: AbortSignal.timeout(5000)
			}).then(
				(answer) => answer.status,
				() => 0
			);
			if (status === 200) {
				acknowledged.push({ id, at: performance.now(), times });
				break;
			}
			if (status >= 400 && status < 500) throw new Error(`refused: ${status}`);
			await pause(100);
		}
		await pause(EACH);
	}
}

const benches = ports.map(bench);
await pause(BEFORE);
const before = acknowledged.length;
const killed = performance.now();
await run(KILL);
await run(PROMOTE);
const promoted = performance.now();
while (!acknowledged.some(({ at }) => at > promoted)) await pause(10);
const first = Math.min(...acknowledged.filter(({ at }) => at > promoted).map(({ at }) => at));
await pause(AFTER);
isOver = true;
await Promise.all(benches);

const client = new pg.Client(STANDBY_URL);
await client.connect();
const { rows } = await client.query<{ id: string }>('select id from reading where id = any ($1)', [
	acknowledged.map(({ id }) => id)
]);
await client.end();
const kept = new Set(rows.map(({ id }) => id));
const lost = acknowledged.filter(({ id }) => !kept.has(id));
const seconds = (time: number) => `${(time / 1000).toFixed(2)} s`;
console.log(`acknowledged: ${before} before kill -9, ${acknowledged.length - before} after`);
console.log(`kill -9 to promoted: ${seconds(promoted - killed)}`);
console.log(
	`kill -9 to the first reading acknowledged by the new primary: ${seconds(first - killed)}`
);
console.log(`sent more than once: ${acknowledged.filter(({ times }) => times > 1).length}`);
console.log(`acknowledged and lost: ${lost.length}`);
process.exitCode = lost.length > 0 || before === 0 ? 1 : 0;
