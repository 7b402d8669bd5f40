import { openedSheet } from '$lib/server/access/shared-sheet';
import { sheetPdf } from '$lib/server/out/pdf';

/** The customer's copy. */
export async function GET({ params, url }) {
	const { signed } = await openedSheet(params.token, false);
	const size = url.searchParams.get('size') === 'Letter' ? 'Letter' : 'A4';
	const name = signed.job.number.replace(/[^\w-]+/g, '_');
	return new Response(new Uint8Array(await sheetPdf(signed, size, true)), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="job-${name}.pdf"`,
			'referrer-policy': 'no-referrer',
			'x-robots-tag': 'noindex'
		}
	});
}
