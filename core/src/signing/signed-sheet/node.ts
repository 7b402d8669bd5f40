/** What signing and verifying sheets takes, by Node's own crypto: SHA-256 and Ed25519. */
/// <reference types="node" />
import {
	createHash,
	createPrivateKey,
	createPublicKey,
	generateKeyPairSync,
	sign,
	verify
} from 'node:crypto';
import type { SheetCrypto, ShopKey } from './signed.ts';

const CURVE = { kty: 'OKP', crv: 'Ed25519' } as const;

/** SHA-256 of a text in UTF-8, as lower-case hexadecimal digits. */
export const sha256 = (text: string): string =>
	createHash('sha256').update(text, 'utf8').digest('hex');

export const sheetCrypto: SheetCrypto = {
	sha256,
	verifies: (text, publicKey, signature) => {
		try {
			const key = createPublicKey({ key: { ...CURVE, x: publicKey }, format: 'jwk' });
			return verify(null, Buffer.from(text, 'utf8'), key, Buffer.from(signature, 'base64url'));
		} catch {
			// No point of the curve.
			return false;
		}
	}
};

/** A key pair as it is kept: both halves in base64url. */
export interface KeptShopKey {
	readonly publicKey: string;
	readonly privateKey: string;
}

/** Makes a new key for a shop. */
export function newShopKey(): KeptShopKey {
	const { x, d } = generateKeyPairSync('ed25519').privateKey.export({ format: 'jwk' });
	return { publicKey: x!, privateKey: d! };
}

/** The key of a shop as sheets are signed with it. */
export function shopKey({ publicKey, privateKey }: KeptShopKey): ShopKey {
	const key = createPrivateKey({
		key: { ...CURVE, x: publicKey, d: privateKey },
		format: 'jwk'
	});
	return {
		publicKey,
		sign: (text) => sign(null, Buffer.from(text, 'utf8'), key).toString('base64url')
	};
}
