import { openedSheet } from '$lib/server/access/shared-sheet';
import { signedOut } from '$lib/server/signing/out/signed-out';
import { readSigned } from '@zinc-ledger/core/signed';

/** What a customer is told of a sheet besides its paper: nothing of the shop's own. */
export const load = async ({ params, setHeaders }) => {
	const { text, until } = await openedSheet(params.token, false);
	const signed = signedOut(readSigned(text));
	// Neither a search engine nor the next page learns of the link.
	setHeaders({ 'x-robots-tag': 'noindex', 'referrer-policy': 'no-referrer' });
	const { job } = signed;
	return {
		number: job.number,
		engine: job.engine.name,
		customer: job.customer.name,
		revision: signed.signed.revision,
		by: signed.signed.person,
		at: signed.signed.at,
		until
	};
};
