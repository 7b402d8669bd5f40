import { isSameSecret } from '$lib/server/access/tokens';
import { refuse } from '$lib/server/http/refuse';
import { figures } from '$lib/server/watch';
import { message } from '@zinc-ledger/core';

/** Figures of the server for whoever has their token, as `authorization: Bearer TOKEN`. */
export async function GET({ request }) {
	const given = /^Bearer (.+)$/.exec(request.headers.get('authorization') ?? '')?.[1];
	if (!isSameSecret(given, process.env.ZINC_METRICS_TOKEN))
		refuse(401, message('access.sign-in-first'));
	const { text, type } = await figures();
	return new Response(text, { headers: { 'content-type': type } });
}
