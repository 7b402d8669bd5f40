import { openedSheet } from '$lib/server/access/shared-sheet';
import { signedOut } from '$lib/server/signing/out/signed-out';
import { readSigned } from '@zinc-ledger/core/signed';
import { work } from '$lib/server/work/pool';

/** The customer's copy. */
export async function GET({ params, url }) {
	const { text } = await openedSheet(params.token, true);
	const size = url.searchParams.get('size') === 'Letter' ? 'Letter' : 'A4';
	const name = signedOut(readSigned(text)).job.number.replace(/[^\w-]+/g, '_');
	return new Response(new Uint8Array(await work('sheetPdf', { text, size, isCustomers: true })), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="job-${name}.pdf"`,
			'referrer-policy': 'no-referrer',
			'x-robots-tag': 'noindex'
		}
	});
}
