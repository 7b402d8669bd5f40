/** A second factor: six digits that a phone works out anew every half minute (RFC 6238). */
import { Secret, TOTP } from 'otpauth';
import QRCode from 'qrcode';
import type { Offered } from '$lib/access/access';
import type { Database } from '../database/connection';
import { encrypt, decrypt } from './encrypted-text';

/** Seconds that a code holds. */
const PERIOD = 30;
/** How many codes before and after the present one are taken: clocks differ. */
const WINDOW = 1;

const factor = (secret: string, label = '') =>
	new TOTP({ issuer: 'Zinc Ledger', label, secret: Secret.fromBase32(secret), period: PERIOD });

/** A secret, and its picture. @param secret one that was offered before; a new one otherwise */
export async function offer(
	userName: string,
	secret = new Secret({ size: 20 }).base32
): Promise<Offered> {
	const address = factor(secret, userName).toString();
	return { secret, picture: await QRCode.toString(address, { type: 'svg', margin: 0 }) };
}

export const isSecret = (text: string) => /^[A-Z2-7]{32}$/.test(text);

/**
 * Which of the codes of a secret a code is, counted since 1970; null where it is none of now,
 * or not later than the last one used.
 */
export function stepOf(
	secret: string,
	code: string,
	used: number,
	timestamp = Date.now()
): number | null {
	const own = factor(secret);
	const token = code.replaceAll(/\s/g, '');
	if (!/^\d{6}$/.test(token)) return null;
	const off = own.validate({ token, timestamp, window: WINDOW });
	if (off === null) return null;
	const step = own.counter({ timestamp }) + off;
	return step > used ? step : null;
}

/** Asks for a code at every sign-in of somebody from now on. @param step of the code that showed the phone has it */
export const setSecondFactor = async (
	db: Database,
	personId: string,
	secret: string | null,
	step = 0
): Promise<void> =>
	void (await db
		.updateTable('sign_in')
		.set({ second_factor: secret && encrypt(secret), second_factor_used: step })
		.where('person_id', '=', personId)
		.execute());

export const hasSecondFactor = async (db: Database, personId: string): Promise<boolean> =>
	(await keptOf(db, personId)) !== null;

/** Whether a code is right, and was not used before; it is used up. */
export async function useCode(db: Database, personId: string, code: string): Promise<boolean> {
	const kept = await keptOf(db, personId);
	const step = kept?.secret ? stepOf(kept.secret, code, kept.used) : null;
	if (step === null) return false;
	const used = await db
		.updateTable('sign_in')
		.set({ second_factor_used: step })
		.where('person_id', '=', personId)
		.where('second_factor_used', '<', step)
		.returning('person_id')
		.executeTakeFirst();
	return used !== undefined;
}

async function keptOf(db: Database, personId: string) {
	const row = await db
		.selectFrom('sign_in')
		.select(['second_factor as secret', 'second_factor_used as used'])
		.where('person_id', '=', personId)
		.executeTakeFirst();
	if (!row?.secret) return null;
	// One that this machine cannot open takes no code at all: it is not as if there were none.
	return { secret: decrypt(row.secret), used: row.used };
}
