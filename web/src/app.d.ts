import type { Person, Units } from '@zinc-ledger/core';

declare global {
	namespace App {
		interface Locals {
			/** Who works at this bench, as picked in this browser; null until somebody is. */
			person: Person | null;
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
