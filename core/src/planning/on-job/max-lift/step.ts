/** A change of one kind's build that may be tried, and laid on top of others. */
import type { PartAt } from '../../../job/document/index.ts';

/** Lengths are texts, as they were typed. */
export type ChangeStep =
	/** The seals are driven home by so much: the gap grows, and is to be read again. */
	| { readonly sort: 'seals-home'; readonly by: string }
	/** Seals that stand lower by so much, whichever they will be. */
	| { readonly sort: 'seal-lower'; readonly by: string }
	/** Locks that hold the retainer higher (+) or lower (−); with a shim of that thickness, or without. */
	| { readonly sort: 'locks'; readonly by: string; readonly keepsHeight: boolean }
	/** A cap of this thickness over the tip; '0 mm' takes it off. */
	| { readonly sort: 'lash-cap'; readonly by: string }
	/** Another valve lift. */
	| { readonly sort: 'lift'; readonly by: string }
	/** No shim under any spring. */
	| { readonly sort: 'shims-out' }
	/** Parts of the library: the one that is meant first, then those that must come with it. */
	| { readonly sort: 'parts'; readonly parts: readonly PartAt[]; readonly keepsHeight: boolean };
