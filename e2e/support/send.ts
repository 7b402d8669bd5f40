/** Requests as they are, without the manners of `fetch`; a stream is left at its first line. */
import { request, type IncomingHttpHeaders } from 'node:http';

export interface Sent {
	readonly method: string;
	readonly path: string;
	readonly headers: Readonly<Record<string, string>>;
	readonly body: Buffer;
}
export interface Got {
	readonly status: number;
	readonly text: string;
	readonly headers: IncomingHttpHeaders;
}

export function send(port: string, { method, path, headers, body }: Sent): Promise<Got> {
	const all = { ...headers, 'content-length': body.length };
	return new Promise((answered, failed) => {
		const sent = request({ hostname: '127.0.0.1', port, path, method, headers: all }, (answer) => {
			let text = '';
			const done = () =>
				answered({ status: answer.statusCode ?? 0, text, headers: answer.headers });
			answer.setEncoding('utf8');
			answer.on('data', (more: string) => {
				text += more;
				if (!answer.headers['content-type']?.startsWith('text/event-stream')) return;
				sent.destroy();
				done();
			});
			answer.on('end', done);
			answer.on('error', done);
		});
		sent.setTimeout(60_000, () => sent.destroy(new Error(`no answer to ${method} ${path}`)));
		sent.on('error', failed);
		sent.end(body);
	});
}
