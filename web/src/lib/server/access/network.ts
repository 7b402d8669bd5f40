/** How the shop is reached: by this machine alone, or by its network with sign-in. */

/** Whether the shop is on its network, where everybody signs in. */
export const onNetwork = (): boolean => process.env.ZINC_NETWORK === '1';

/** The shop's own address, as people and codes on labels open it; null on one machine alone. */
export const shopAddress = (): string | null => (onNetwork() ? (process.env.ORIGIN ?? null) : null);

/**
 * What a code on a label holds: where to look, at the shop's own address; on one machine
 * alone, which nothing else can open, what to look for.
 */
export const codeText = (path: string, plain: string): string => {
	const address = shopAddress();
	return address === null ? plain : address + path;
};
