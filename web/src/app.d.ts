import type { Person, Units } from '@zinc-ledger/core';
import type { Sent } from '$lib/access/body-limits';
import type { Role } from '$lib/access/roles';
import type { Session } from '$lib/access/session';

declare global {
	namespace App {
		interface Locals {
			/** Who works at this bench; null until somebody does. */
			person: Person | null;
			/** What they may do: everything on one machine alone; null where nobody is known. */
			role: Role | null;
			/** The browser that is signed in; null on one machine alone. */
			session: Session | null;
			/** Units that somebody chose; null where each job is read as it was measured. */
			chosenUnits: Units | null;
			/** Those chosen, else inches and pounds: what a page reads in that is no job's. */
			units: Units;
			/** The body, where it is a file's: the request does not have it then. */
			sent: Sent | null;
		}
		interface Error {
			message: string;
			/** What the person can do about it. */
			advice?: string;
		}
	}
}

export {};
