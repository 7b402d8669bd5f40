/**
 * Keeps the server serving: a server that has ended is started again, and one that hangs is
 * ended first. After five deaths within a minute it gives up and prints the last error.
 */
import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const port = process.env.PORT ?? '4600';
/** How often it is asked if it lives, and how long it may take to say so, in milliseconds. */
const EACH = Number(process.env.ZINC_SUPERVISOR_EACH ?? 5000);
const PATIENCE = 3 * EACH;
/** Unanswered questions after which it hangs. */
const UNANSWERED = 3;
const FIRST_PAUSE = 200;
const LONGEST_PAUSE = 10_000;
/** So many deaths within so many milliseconds, and starting it again is pointless. */
const MAX_DEATHS = 5;
const DEATHS_WITHIN = 60_000;
/** How much of what the server printed last is repeated when it is given up, in characters. */
const LAST_WORDS = 4000;

let stopping = false;
let pause = FIRST_PAUSE;
/** When the server died, in milliseconds, oldest first. @type {number[]} */
let deaths = [];
let server = start();

function start() {
	const begun = Date.now();
	const own = spawn(process.execPath, [fileURLToPath(new URL('server.js', import.meta.url))], {
		stdio: ['inherit', 'inherit', 'pipe']
	});
	let lastWords = '';
	own.stderr.on('data', (/** @type {Buffer} */ bytes) => {
		process.stderr.write(bytes);
		lastWords = (lastWords + bytes.toString()).slice(-LAST_WORDS);
	});
	own.once('close', (code, signal) => {
		if (stopping) process.exit(code ?? 0);
		const now = Date.now();
		deaths = [...deaths.filter((at) => now - at < DEATHS_WITHIN), now];
		if (deaths.length >= MAX_DEATHS) giveUp(signal ?? code, lastWords);
		// One that lived for a while is started again at once; one that cannot begin, less and less often.
		if (now - begun > DEATHS_WITHIN) pause = FIRST_PAUSE;
		console.log(`the server has ended (${signal ?? code}): started again`);
		setTimeout(() => {
			if (!stopping) server = start();
		}, pause);
		pause = Math.min(pause * 2, LONGEST_PAUSE);
	});
	return own;
}

/**
 * @param {string | number | null} how signal or exit code of the last death
 * @param {string} lastWords what the server last wrote to standard error
 */
function giveUp(how, lastWords) {
	console.error(
		`The server ended ${MAX_DEATHS} times within a minute (last: ${how}) and is not started again. ` +
			`Its last error:\n${lastWords.trim() || '(it printed none)'}`
	);
	process.exit(1);
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
