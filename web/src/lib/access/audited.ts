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
