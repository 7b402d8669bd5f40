/**
 * Keeps the server serving: one that has ended is started again, one that hangs is ended
 * first. It ends with the signal that ends the program.
 */
import { spawn } from 'node:child_process';

const port = process.env.PORT ?? '4600';
/** How often it is asked if it lives, and how long it may take to say so, in milliseconds. */
const EACH = Number(process.env.ZINC_KEEPER_EACH ?? 5000);
const PATIENCE = 3 * EACH;
/** Unanswered questions after which it hangs. */
const UNANSWERED = 3;
const FIRST_PAUSE = 200;
const LONGEST_PAUSE = 10_000;

let stopping = false;
let pause = FIRST_PAUSE;
let server = start();

function start() {
	const begun = Date.now();
	const own = spawn(process.execPath, [new URL('server.js', import.meta.url).pathname], {
		stdio: 'inherit'
	});
	own.once('exit', (code, signal) => {
		if (stopping) process.exit(code ?? 0);
		// One that lived for a while is started again at once; one that cannot begin, less and less often.
		if (Date.now() - begun > 60_000) pause = FIRST_PAUSE;
		console.log(`the server has ended (${signal ?? code}): started again`);
		setTimeout(() => {
			if (!stopping) server = start();
		}, pause);
		pause = Math.min(pause * 2, LONGEST_PAUSE);
	});
	return own;
}

let unanswered = 0;
setInterval(async () => {
	const asked = server;
	if (asked.exitCode !== null || asked.signalCode !== null) return;
	try {
		// Any answer is a sign of life: one that the database is away is no fault of the server's.
		await fetch(`http://127.0.0.1:${port}/healthz`, { signal: AbortSignal.timeout(PATIENCE) });
		unanswered = 0;
	} catch (failure) {
		const { name } = /** @type {Error} */ (failure);
		if (name !== 'TimeoutError') return;
		if (++unanswered < UNANSWERED || asked !== server) return;
		console.log('the server hangs: ended');
		unanswered = 0;
		asked.kill('SIGKILL');
	}
}, EACH);

for (const signal of ['SIGINT', 'SIGTERM']) {
	process.on(signal, () => {
		if (stopping) return;
		stopping = true;
		server.kill(signal);
		if (server.exitCode !== null || server.signalCode !== null) process.exit(0);
		setTimeout(() => {
			server.kill('SIGKILL');
			process.exit(0);
		}, 7000).unref();
	});
}
