/** The control page of the stand-ins: pull the lever, pick the spring, press the button, break the cable. */
import { createServer, type Server } from 'node:http';
import type { BenchTester } from './bench-tester.ts';
import type { HeadTester, HeightGauge } from './buttons.ts';
import type { LineServer } from './line-server.ts';
import { SPRINGS } from './springs.ts';

export interface Devices {
	readonly tester: BenchTester;
	readonly height: HeightGauge;
	readonly head: HeadTester;
}

type Action = (value: string) => unknown;

/** Serves the page and its actions on loopback. */
export function serveControl(devices: Devices, port: number): Promise<Server> {
	const { tester, height, head } = devices;
	const cable =
		(line: LineServer): Action =>
		(value) =>
			value === 'break' ? line.break() : line.open();
	const actions: Record<string, Action> = {
		'tester/spring': (name) => {
			if (!tester.take(name)) throw new Error(`no spring ${name}`);
		},
		'tester/pull': () => tester.pull(),
		'tester/release': () => tester.release(),
		'tester/speed': (value) => (tester.speed = Math.min(60, Math.max(0.5, Number(value) || 6))),
		'tester/cable': cable(tester.line),
		'tester/malformed': () => {
			for (const line of ['H -- mm', '\u0000\u0001\u0002', 'ERR 12', 'x'.repeat(5000)])
				tester.line.send(line);
		},
		'tester/flood': (value) => {
			const [rate = 500, seconds = 10] = value.split(',').map(Number);
			tester.line.flood(rate, seconds, () => tester.reading());
		},
		'height/set': (value) => (height.height = Number(value) || height.height),
		'height/press': () => height.press(),
		'height/cable': cable(height.line),
		'head/set': (value) => (head.load = Number(value) || head.load),
		'head/pull': () => head.pull(),
		'head/cable': cable(head.line)
	};
	const server = createServer((request, response) => {
		const url = new URL(request.url ?? '/', 'http://localhost');
		const answer = (status: number, body: unknown) => {
			response.writeHead(status, { 'content-type': 'application/json' });
			response.end(JSON.stringify(body));
		};
		if (request.method === 'GET' && url.pathname === '/') {
			response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' });
			response.end(PAGE);
		} else if (request.method === 'GET' && url.pathname === '/state') {
			answer(200, {
				tester: tester.state,
				height: { height: height.height, broken: height.line.broken },
				head: { load: head.load, broken: head.line.broken }
			});
		} else if (request.method === 'POST' && actions[url.pathname.slice(1)]) {
			Promise.resolve()
				.then(() => actions[url.pathname.slice(1)]!(url.searchParams.get('value') ?? ''))
				.then((done) => answer(200, { done: done ?? true }))
				.catch((error: Error) => answer(400, { message: error.message }));
		} else {
			answer(404, { message: 'nothing here' });
		}
	});
	return new Promise((serving, failed) => {
		server.once('error', failed);
		server.listen(port, '127.0.0.1', () => serving(server));
	});
}

const options = SPRINGS.map(({ name }) => `<option>${name}</option>`).join('');
const PAGE = `<!doctype html><html lang="en"><meta charset="utf-8"><title>Stand-in gauges</title>
<style>body{font:16px/1.5 ui-sans-serif,sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem;background:#f6f7f5;color:#171d1f}
section{border-top:2px solid;padding:.6rem 0 1rem}button,select,input{font:inherit;min-height:44px;padding:.3rem .8rem;margin:.2rem .3rem .2rem 0}
pre{background:#ebeeec;padding:.6rem}</style><h1>Stand-in gauges</h1><p>Simulated devices for trying Zinc Ledger without hardware.</p>
<section><h2>Bench tester</h2><p>Retainer and plate in its press: 5.36 mm.</p><label>Spring <select id="spring">${options}</select></label>
<button data-do="tester/pull">Pull the lever</button><button data-do="tester/release">Let it up</button>
<button data-do="tester/cable" data-value="break">Break the cable</button><button data-do="tester/cable" data-value="mend">Mend it</button>
<button data-do="tester/malformed">Send malformed data</button><button data-do="tester/flood" data-value="500,30">Flood for 30 s</button></section>
<section><h2>Height gauge</h2><label>Stands at, in <input id="height" value="1.820" size="7"></label>
<button data-do="height/press">Press its button</button><button data-do="height/cable" data-value="break">Break the cable</button>
<button data-do="height/cable" data-value="mend">Mend it</button></section>
<section><h2>On-head tester</h2><button data-do="head/pull">Pull</button><button data-do="head/cable" data-value="break">Break the cable</button>
<button data-do="head/cable" data-value="mend">Mend it</button></section><pre id="state"></pre>
<script>const act=(path,value='')=>fetch('/'+path+'?value='+encodeURIComponent(value),{method:'POST'});
document.querySelectorAll('[data-do]').forEach(b=>b.onclick=()=>act(b.dataset.do,b.dataset.value));
spring.onchange=()=>act('tester/spring',spring.value);height.onchange=()=>act('height/set',height.value);
setInterval(async()=>{state.textContent=JSON.stringify(await(await fetch('/state')).json(),null,1)},500)</script></html>`;
