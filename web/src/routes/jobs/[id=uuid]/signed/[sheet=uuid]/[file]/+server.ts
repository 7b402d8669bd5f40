import { readSigned } from '@zinc-ledger/core/signed';
import { codeText } from '$lib/server/access/network';
import { opened } from '$lib/server/access/shares';
import { withDatabase } from '$lib/server/with-database';
import { sheetCsv } from '$lib/server/signing/out/csv';
import { signedOut, type SignedOut } from '$lib/server/signing/out/signed-out';
import { signedText } from '$lib/server/signing/signed';
import { work } from '$lib/server/work/pool';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** A signed sheet as it goes out: the frozen text itself, paper, figures, or a label. */
export async function GET({ params, url }) {
	const text = await withDatabase((db) => signedText(db, params.id, params.sheet));
	const signed = signedOut(readSigned(text));
	const size = url.searchParams.get('size') === 'Letter' ? 'Letter' : 'A4';
	const name = `job-${signed.job.number.replace(/[^\w-]+/g, '_')}-sheet-${signed.signed.revision}`;
	const pdf = (content: Uint8Array, what = '') =>
		answer(new Uint8Array(content), 'application/pdf', `inline; filename="${name}${what}.pdf"`);
	switch (params.file) {
		case 'sheet.json':
			return answer(text, 'application/json; charset=utf-8', `attachment; filename="${name}.json"`);
		case 'sheet.csv':
			return answer(
				sheetCsv(signed),
				'text/csv; charset=utf-8',
				`attachment; filename="${name}.csv"`
			);
		case 'sheet.pdf':
			return pdf(await work('sheetPdf', { text, size, isCustomers: false }));
		case 'customer.pdf':
			return pdf(await work('sheetPdf', { text, size, isCustomers: true }), '-customer');
		case 'report.pdf':
			if (!signed.visit) refuse(404, message('visit.none-signed'));
			return pdf(await work('reportPdf', { text, size }), '-report');
		case 'label.pdf':
			return pdf(
				await work('labelPdf', { text, address: await labelCode(signed, params, url) }),
				'-label'
			);
		default:
			refuse(404, message('server.unknown', { what: 'output' }));
	}
}

/** The job at the shop's own address, or a link of the customer's to this very sheet. */
async function labelCode(
	{ job }: SignedOut,
	{ id, sheet }: { id: string; sheet: string },
	{ searchParams }: URL
): Promise<string> {
	const token = searchParams.get('share');
	if (token === null) return codeText(`/jobs/${id}`, job.number);
	const found = await withDatabase((db) => opened(db, token, false));
	if (found?.sheet !== sheet) refuse(404, message('server.unknown', { what: 'share' }));
	return codeText(`/shared/${token}`, job.number);
}

const answer = (body: string | Uint8Array<ArrayBuffer>, type: string, disposition: string) =>
	new Response(body, { headers: { 'content-type': type, 'content-disposition': disposition } });
