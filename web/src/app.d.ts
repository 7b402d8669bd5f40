import type { Person, Units } from '@zinc-ledger/core';

declare global {
	namespace App {
		interface Locals {
			/** Who works at this bench, as picked in this browser; null until somebody is. */
			person: Person | null;
			/** Units that somebody chose; null where each job is read as it was measured. */
			chosenUnits: Units | null;
			/** Those chosen, else inches and pounds: what a page reads in that is no job's. */
			units: Units;
		}
		interface Error {
			message: string;
			/** What the person can do about it. */
			advice?: string;
		}
	}
}

export {};
