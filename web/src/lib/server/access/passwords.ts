/** Passwords and PINs: kept as Argon2id, compared in the same time whether anybody has the name or not. */
import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';
import { message, type Message } from '@zinc-ledger/core';
import { PASSWORD_MIN, PASSWORD_MAX, PIN } from '$lib/access/roles';

/** 19 MiB and two rounds, about 26 ms. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** What is longer than any password may be is not looked at further: normalizing it takes time. */
const looked = (secret: string) => secret.slice(0, 4 * PASSWORD_MAX).normalize('NFKC');
export const hashed = (secret: string): Promise<string> => hash(looked(secret), COST);

let nobodys: Promise<string> | undefined;

/** Whether a secret is the one that was kept; where none was, it takes as long to say no. */
export async function matches(kept: string | null, secret: string): Promise<boolean> {
	nobodys ??= hashed('');
	const isSo = await verify(kept ?? (await nobodys), looked(secret));
	return isSo && kept !== null;
}

const COMMON = new Set(dictionary['passwords-common']);

/** What is wrong with a password; null where nothing is. Any characters do. */
export function passwordProblem(password: string, userName: string): Message | null {
	if (password.length > 4 * PASSWORD_MAX)
		return message('access.password-long', { max: PASSWORD_MAX });
	const length = [...password].length;
	if (length < PASSWORD_MIN) return message('access.password-short', { min: PASSWORD_MIN });
	if (length > PASSWORD_MAX) return message('access.password-long', { max: PASSWORD_MAX });
	const plain = password.toLowerCase();
	const isOne = [...plain].every((letter) => letter === plain[0]);
	const isName = userName !== '' && plain.replaceAll(userName, '').length < PASSWORD_MIN / 2;
	return isOne || isName || COMMON.has(plain) ? message('access.password-common') : null;
}

export const pinProblem = (pin: string): Message | null => {
	const isRun = '0123456789'.includes(pin) || '9876543210'.includes(pin);
	if (!PIN.test(pin)) return message('access.pin-digits');
	return isRun || /^(\d)\1*$/.test(pin) ? message('access.pin-common') : null;
};
