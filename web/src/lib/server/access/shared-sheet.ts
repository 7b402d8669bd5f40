import { message } from '@zinc-ledger/core';
import { withDatabase } from '../with-database';
import { refuse } from '../http/refuse';
import { asksTooOften } from './limits';
import { opened } from './shares';
import { keyOf } from './tokens';

/**
 * The frozen text of the sheet that a customer's link opens, counted each time; refused in the
 * same words whether it never was one or has ended.
 *
 * @param isPaper it is to be laid out, which a link may ask for some times a minute only
 */
export async function openedSheet(
	token: string,
	isPaper: boolean
): Promise<{ readonly text: string; readonly until: string }> {
	if (isPaper && (await asksTooOften('link', keyOf(token))))
		refuse(429, message('access.too-often'));
	const found = await withDatabase((db) => opened(db, token, true));
	if (!found) refuse(404, message('access.link-ended'));
	return { text: found.content, until: found.until.toISOString() };
}
