/** Requests of a page with a JSON body: what came back, or why not, in words. */
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

/** Sends something. @returns what went wrong, or null */
export async function send(method: string, path: string, body: unknown): Promise<string | null> {
	const answer = await sent(method, path, body);
	return 'problem' in answer ? answer.problem : null;
}

/** Sends something: what the server answered, or what went wrong. */
export async function sent(
	method: string,
	path: string,
	body: unknown
): Promise<{ readonly body: unknown } | { readonly problem: string }> {
	try {
		const response = await fetch(path, {
			method,
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
		const answer = (await response.json()) as { message?: string };
		if (response.ok) return { body: answer };
		return { problem: answer.message ?? tell(message('server.would-not-take')) };
	} catch {
		return { problem: tell(message('server.not-reached')) };
	}
}
