/**
 * Serves the built application on loopback. SvelteKit's own entry takes every
 * request for https unless told otherwise; here the scheme is known.
 */
import { createServer } from 'node:http';

process.env.PROTOCOL_HEADER = 'x-zinc-scheme';
const { handler } = await import('./build/handler.js');

const port = Number(process.env.PORT ?? 4600);
const server = createServer((request, response) => {
	request.headers['x-zinc-scheme'] = 'http';
	handler(request, response, () => {
		response.writeHead(404).end();
	});
});
server.listen(port, process.env.HOST ?? '127.0.0.1', () => {
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
