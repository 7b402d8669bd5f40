import { afterEach, describe, expect, it, vi } from 'vitest';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { send, sent } from './send-json';

const answering = (answer: () => Promise<Response>) => {
	const asked = vi.fn<(path: string, init: RequestInit) => Promise<Response>>(answer);
	vi.stubGlobal('fetch', asked);
	return asked;
};
afterEach(() => vi.unstubAllGlobals());

describe('something sent', () => {
	it('goes as JSON, and what comes back is handed on', async () => {
		const asked = answering(() => Promise.resolve(Response.json({ at: 'now' })));
		expect(await sent('PUT', '/api/jobs', { count: 2 })).toEqual({ body: { at: 'now' } });
		const [path, init] = asked.mock.calls[0]!;
		expect([path, init.method, init.body]).toEqual(['/api/jobs', 'PUT', '{"count":2}']);
		expect(init.headers).toEqual({ 'content-type': 'application/json' });
	});
	it('is null where nothing went wrong', async () => {
		answering(() => Promise.resolve(Response.json({})));
		expect(await send('POST', '/api/jobs', {})).toBeNull();
	});
	it('is refused in the server’s own words', async () => {
		answering(() => Promise.resolve(Response.json({ message: 'Not now.' }, { status: 409 })));
		expect(await send('POST', '/api/jobs', {})).toBe('Not now.');
	});
	it('is told to be refused where the server says nothing', async () => {
		answering(() => Promise.resolve(Response.json({}, { status: 400 })));
		expect(await send('POST', '/api/jobs', {})).toBe(tell(message('server.would-not-take')));
	});
	it.each([
		['nobody is there', () => Promise.reject<Response>(new TypeError('no network'))],
		['what answers is no server of ours', () => Promise.resolve(new Response('<html>'))]
	])('says that the server cannot be reached where %s', async (_, answer) => {
		answering(answer);
		expect(await send('POST', '/api/jobs', {})).toBe(tell(message('server.not-reached')));
	});
});
