import type { AuditedAct } from '@zinc-ledger/words';
import type { Role } from './roles';

/** What an act was about: whom, which, where. Which acts are noted says the core. */
export interface AuditAbout {
	/** The person it was done to. */
	readonly whom?: string;
	readonly role?: Role;
	/** The path of what went out. */
	readonly path?: string;
	/** When what was made ends. */
	readonly until?: string;
}

/** An act as the trail tells it. */
export interface Noted {
	readonly what: AuditedAct;
	readonly who: string | null;
	readonly whom: string | null;
	readonly about: AuditAbout;
	readonly address: string | null;
	readonly at: string;
	readonly position: string;
}
