/** What a plan is asked for, and what it answers, in terms of a job. */
import type { Message } from '../../../foundation/message/index.ts';
import type { Job, StationParts } from '../../../job/document/index.ts';
import type { ShelvedShim } from './shelf.ts';

export type PlannedLocks = NonNullable<StationParts['locks']>;

export interface LockStock {
	readonly locks: PlannedLocks;
	readonly count: number;
	/** They lie on the shelf, but the plan is not to take them; told only where they would free a station. */
	readonly excluded?: boolean;
}

/** New springs of the shelf that may go in place of used ones. */
export interface NewSprings {
	/** Id and name of their card. */
	readonly card: string;
	readonly name: string;
	/** How many there are; null where nobody counts them. */
	readonly count: number | null;
}

export interface PlanQuestion {
	readonly job: Job;
	/** Shims of the shop's library; without them the job's own count is what there is. */
	readonly shims?: readonly ShelvedShim[];
	/** Lock sets on the shelf that could go in place of those a station has. */
	readonly lockStock: readonly LockStock[];
	/** Whether the tested, tagged springs may go to any station of their card. */
	readonly placeSprings: boolean;
	/** Stations that stay as they are. */
	readonly fixed: readonly string[];
	/** Stations whose spring is not to be used again, there or elsewhere. */
	readonly replaced?: readonly string[];
	/** Springs that go in nowhere, whether they stand in a head or were taken out. */
	readonly worn?: readonly { readonly tag: string; readonly card: string }[];
	/** What may go in their place, and wherever springs may change places. */
	readonly newSprings?: readonly NewSprings[];
}

/** What one station is to be built with. */
export interface PlannedStation {
	readonly label: string;
	/** Thickest first, as the stock writes them. */
	readonly shims: readonly string[];
	/** Locks in place of those it has. */
	readonly locks?: PlannedLocks | undefined;
	/** Tag of the spring. */
	readonly spring?: string | undefined;
	/** A new spring of its card in place of the one that ran. */
	readonly newSpring?: true | undefined;
}

export type PlanAnswer =
	| {
			readonly type: 'plan';
			readonly stations: readonly PlannedStation[];
			readonly proven: boolean;
			/** Worst distance from the aim beyond the dead band, millimetres, and the least it could be. */
			readonly worst: number;
			readonly bound: number;
			/** Part of the cost by which a better plan could still beat this one; 0 when proven. */
			readonly gap: number;
			/** What each station would have been given next. */
			readonly next: readonly PlannedStation[];
			/** Stations left out of it, and why. */
			readonly leftOut: readonly (readonly [label: string, why: Message])[];
	  }
	| { readonly type: 'no-plan'; readonly why: readonly Message[] }
	| { readonly type: 'stopped' };
