/**
 * Serves the built application on loopback, under the names it was started under and no
 * others. SvelteKit's own entry takes every request for https unless told otherwise; here
 * the scheme is known.
 */
import { createHash, randomUUID, timingSafeEqual } from 'node:crypto';
import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';

const port = Number(process.env.PORT ?? 4600);
const host = process.env.HOST ?? '127.0.0.1';
/** The program itself never listens to the network: a proxy with TLS does. */
const LOOPBACK = /^(127(\.\d{1,3}){3}|::1|localhost)$/;
if (!LOOPBACK.test(host)) {
	console.error(
		`HOST is ${host}: nothing listens beyond loopback without sign-in and TLS (./start --own --network).`
	);
	process.exit(1);
}
const {
	ZINC_NETWORK: network,
	ORIGIN: origin,
	ZINC_PROXY_SECRET: secret,
	ZINC_KEY: key
} = process.env;
/**
 * On the shop's network a proxy stands in front, which has the TLS; ORIGIN is the shop's own
 * address, and requests are the proxy's where they hold the secret that it was given.
 */
const isBehindProxy = network === '1';
if (isBehindProxy && (!origin?.startsWith('https://') || !secret || !key)) {
	console.error('ZINC_NETWORK needs ORIGIN, an https:// address, ZINC_PROXY_SECRET and ZINC_KEY.');
	process.exit(1);
}
// The framework would believe what a browser says of itself.
for (const name of ['PROTOCOL_HEADER', 'HOST_HEADER', 'PORT_HEADER', 'ADDRESS_HEADER'])
	Reflect.deleteProperty(process.env, name);
if (isBehindProxy) process.env.ADDRESS_HEADER = 'x-zinc-address';
else {
	delete process.env.ORIGIN;
	process.env.PROTOCOL_HEADER = 'x-zinc-scheme';
}
/** What runs in threads of its own; the build writes it beside the server. */
process.env.ZINC_TASKS = fileURLToPath(new URL('./build/tasks/tasks.js', import.meta.url));
const { handler } = await import('./build/handler.js');
/** A page elsewhere may point a name of its own at this machine: it is not answered. */
const local = ['127.0.0.1', 'localhost', '[::1]', host].map((name) => `${name}:${port}`);
const names = new Set(
	(isBehindProxy ? [new URL(/** @type {string} */ (origin)).host] : local).map((name) =>
		name.toLowerCase()
	)
);
/** What this machine itself asks, to see that the program is well. */
const WATCHED = new Set(['/alive', '/healthz', '/readyz', '/metrics']);
/** Longer than the proxy takes to see that this process is about to end. */
const TOLD = isBehindProxy ? 800 : 0;
let stopping = false;

/**
 * Whether a request is for one of the program's names and came the way it should.
 *
 * @param {import('node:http').IncomingMessage} request
 */
function isOurs({ headers, url }) {
	const isLocal = local.includes((headers.host ?? '').toLowerCase());
	if (isBehindProxy && isLocal) return WATCHED.has((url ?? '').split('?')[0] ?? '');
	if (isBehindProxy && !isSecret(headers['x-zinc-proxy'])) return false;
	return names.has((headers.host ?? '').toLowerCase());
}

/** @param {string | string[] | undefined} told */
function isSecret(told) {
	const [a, b] = [told, secret].map((text) => createHash('sha256').update(String(text)).digest());
	return timingSafeEqual(/** @type {Buffer} */ (a), /** @type {Buffer} */ (b));
}

/**
 * Who is at the other end of the proxy: the last that it was told of is the one it saw itself.
 *
 * @param {import('node:http').IncomingMessage} request
 */
const addressOf = ({ headers, socket }) =>
	(isBehindProxy &&
		String(headers['x-forwarded-for'] ?? '')
			.split(',')
			.at(-1)
			?.trim()) ||
	(socket.remoteAddress ?? 'unknown');

/** On every answer, files and errors too; pages add what their scripts may do. */
const HEADERS = {
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	'referrer-policy': 'same-origin',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'permissions-policy': 'camera=(self), geolocation=(), microphone=()',
	'content-security-policy':
		"default-src 'self'; style-src 'self' 'unsafe-inline'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'",
	...(isBehindProxy && { 'strict-transport-security': 'max-age=31536000' })
};

/** The plan's solver is WebAssembly, which a browser compiles only where this policy lets it: in that worker alone. */
const SOLVER_WORKER = /^\/_app\/immutable\/workers\/plan\.worker-[\w-]+\.js$/;
const SOLVER_POLICY = `${HEADERS['content-security-policy']}; script-src 'self' 'wasm-unsafe-eval'`;

const server = createServer(
	{ headersTimeout: 20_000, requestTimeout: 120_000 },
	(request, response) => {
		for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
		if (SOLVER_WORKER.test(request.url ?? ''))
			response.setHeader('content-security-policy', SOLVER_POLICY);
		const id = randomUUID();
		request.headers['x-request-id'] = id;
		response.setHeader('x-request-id', id);
		if (!isOurs(request)) {
			response
				.writeHead(421, { 'content-type': 'text/plain' })
				.end('There is no such address here.\n');
			return;
		}
		if (request.url === '/alive') {
			response.writeHead(stopping ? 503 : 200, { 'content-type': 'text/plain' }).end();
			return;
		}
		request.headers['x-zinc-scheme'] = 'http';
		request.headers['x-zinc-address'] = addressOf(request);
		handler(request, response, () => {
			response.writeHead(404).end();
		});
	}
);
server.listen(port, host, () => {
	console.log(`serving on port ${port}`);
});

for (const signal of ['SIGINT', 'SIGTERM']) {
	process.on(signal, () => {
		if (stopping) return;
		stopping = true;
		setTimeout(() => {
			server.close(() => process.emit('sveltekit:shutdown', signal));
			setTimeout(() => server.closeAllConnections(), 3000).unref();
			setTimeout(() => process.exit(0), 6000).unref();
		}, TOLD);
	});
}
