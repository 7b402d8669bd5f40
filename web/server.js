/**
 * Serves the built application on loopback, under the names it was started under and no
 * others. SvelteKit's own entry takes every request for https unless told otherwise; here
 * the scheme is known.
 */
import { createServer } from 'node:http';

const port = Number(process.env.PORT ?? 4600);
const host = process.env.HOST ?? '127.0.0.1';
/** Whoever reaches the program is let in: nobody beyond this machine may. */
const LOOPBACK = /^(127(\.\d{1,3}){3}|::1|localhost)$/;
if (!LOOPBACK.test(host)) {
	console.error(`HOST is ${host}: without sign-in and TLS nothing listens beyond loopback.`);
	process.exit(1);
}
process.env.PROTOCOL_HEADER = 'x-zinc-scheme';
const { handler } = await import('./build/handler.js');
/** A page elsewhere may point a name of its own at this machine: it is not answered. */
const names = new Set(
	['127.0.0.1', 'localhost', '[::1]', host].map((name) => `${name}:${port}`.toLowerCase())
);

/** On every answer, files and errors too; pages add what their scripts may do. */
const HEADERS = {
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	'referrer-policy': 'same-origin',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'permissions-policy': 'camera=(self), geolocation=(), microphone=()',
	'content-security-policy':
		"default-src 'self'; style-src 'self' 'unsafe-inline'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'"
};

const server = createServer(
	{ headersTimeout: 20_000, requestTimeout: 120_000 },
	(request, response) => {
		for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
		if (!names.has((request.headers.host ?? '').toLowerCase())) {
			response
				.writeHead(421, { 'content-type': 'text/plain' })
				.end('There is no such address here.\n');
			return;
		}
		request.headers['x-zinc-scheme'] = 'http';
		handler(request, response, () => {
			response.writeHead(404).end();
		});
	}
);
server.listen(port, host, () => {
	console.log(`serving on port ${port}`);
});

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM']) {
	process.on(signal, () => {
		if (stopping) return;
		stopping = true;
		server.close(() => process.emit('sveltekit:shutdown', signal));
		setTimeout(() => server.closeAllConnections(), 3000).unref();
		setTimeout(() => process.exit(0), 6000).unref();
	});
}
