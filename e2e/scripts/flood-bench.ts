/**
 * Whether the server's memory stays flat while the stand-in tester floods it:
 * 500 lines a second for ten minutes, with one browser listening.
 *
 *   ./start && npm run bench:flood
 *
 * MINUTES, APP and GAUGES change how long and against what.
 */
import { readFileSync } from 'node:fs';

const minutes = Number(process.env.MINUTES ?? 10);
const app = process.env.APP ?? 'http://127.0.0.1:4600';
const control = Number(process.env.GAUGES ?? 4610) + 3;
/** The process that serves, which the supervisor of the server began. */
const served = (): string => {
	const supervisor = readFileSync('.data/app-demo.pid', 'utf8').trim();
	return readFileSync(`/proc/${supervisor}/task/${supervisor}/children`, 'utf8').trim();
};
const pid = process.env.SERVER_PID ?? served();

const page = await (await fetch(`${app}/gauges`)).text();
const gauge = /href="\/gauges\/([0-9a-f-]{36})"[^>]*>Bench tester 1/.exec(page)?.[1];
if (!gauge) throw new Error('the demo’s bench tester is not there');

const memory = () =>
	Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;

const leave = new AbortController();
let readings = 0;
const stream = await fetch(`${app}/api/live?topics=gauge:${gauge}`, { signal: leave.signal });
const listening = (async () => {
	let rest = '';
	for await (const chunk of stream.body!.pipeThrough(new TextDecoderStream())) {
		const lines = (rest + chunk).split('\n');
		rest = lines.pop()!;
		for (const line of lines) {
			if (line.startsWith('data: ')) {
				const [, news] = JSON.parse(line.slice(6)) as [string, { readings: unknown[] }];
				readings += news.readings.length;
			}
		}
	}
})().catch(() => undefined);

await fetch(`http://127.0.0.1:${control}/tester/flood?value=500,${minutes * 60}`, {
	method: 'POST'
});
const samples: number[] = [];
for (let half = 0; half <= minutes * 2; half++) {
	if (half > 0) await new Promise((later) => setTimeout(later, 30_000));
	samples.push(memory());
	console.log(
		`${(half / 2).toFixed(1)} min: ${samples.at(-1)!.toFixed(0)} MB, ${readings} readings`
	);
}
leave.abort();
await listening;
const [first, last] = [samples[Math.min(2, samples.length - 1)]!, samples.at(-1)!];
console.log(
	`from ${first.toFixed(0)} MB after a minute to ${last.toFixed(0)} MB; most ${Math.max(...samples).toFixed(0)} MB`
);
