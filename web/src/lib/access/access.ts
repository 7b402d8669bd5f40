import type { Role } from './roles';

/** How a browser is let in. */
export interface Access {
	/** Whether the shop is on its network, where everybody signs in. */
	readonly network: boolean;
	readonly signedIn: boolean;
	/** Whether several work at this browser, each known by a PIN. */
	readonly atBench: boolean;
	readonly role: Role | null;
}

/** A secret for a phone to keep, as text and as a code to be pointed at. */
export interface Offered {
	readonly secret: string;
	readonly picture: string;
}

/** On one machine alone everybody may do everything. */
export const OPEN: Access = { network: false, signedIn: false, atBench: false, role: 'owner' };
