import { json, type RequestEvent } from '@sveltejs/kit';
import QRCode from 'qrcode';
import { z } from 'zod';
import { message } from '@zinc-ledger/core';
import { SHARE_DAYS } from '$lib/access/share';
import { shopAddress } from '$lib/server/access/network';
import { endShare, listShares, share } from '$lib/server/access/shares';
import { noteAct } from '$lib/server/access/sign-in';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { refuse } from '$lib/server/http/refuse';

const Wanted = z.strictObject({
	sheet: z.uuid(),
	days: z.int().min(1).max(SHARE_DAYS.max)
});
const Ending = z.strictObject({ id: z.uuid() });

/** The links to this job's signed sheets. */
export const GET = async ({ params }) =>
	json({ shares: await withDatabase((db) => listShares(db, params.id)) });

/** Makes a link that a customer opens a signed sheet by; it is told only now. */
export async function POST(event: RequestEvent<{ id: string }>) {
	const { sheet, days } = await checkedBody(event.request, Wanted);
	const { params, locals } = event;
	const address = shopAddress();
	// On one machine alone a link would open nothing anywhere else.
	if (address === null) refuse(409, message('access.no-address'));
	const made = await withDatabase((db) =>
		share(db, { job: params.id, sheet, days, by: locals.person })
	);
	if (!made) refuse(404, message('server.unknown', { what: 'signed-sheet' }));
	const until = made.until.toISOString();
	await noteAct(event, { what: 'shared', about: { path: `/jobs/${params.id}`, until } });
	const link = `${address}/shared/${made.token}`;
	return json({ link, until, picture: await QRCode.toString(link, { type: 'svg', margin: 0 }) });
}

/** Ends a link. */
export async function DELETE(event: RequestEvent<{ id: string }>) {
	const { id } = await checkedBody(event.request, Ending);
	const { params } = event;
	if (!(await withDatabase((db) => endShare(db, params.id, id))))
		refuse(404, message('server.unknown', { what: 'share' }));
	await noteAct(event, { what: 'share-ended', about: { path: `/jobs/${params.id}` } });
	return json({ kept: true });
}
