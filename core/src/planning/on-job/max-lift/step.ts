/** A change of one kind's build that may be tried, and laid on top of others. */
import type { PartAt } from '../../../job/document/index.ts';

/** Lengths are texts, as they were typed. */
export type ChangeStep =
	/** The seals are driven home by so much: the gap grows, and is to be read again. */
	| { readonly type: 'seals-home'; readonly by: string }
	/** Seals that stand lower by so much, whichever they will be. */
	| { readonly type: 'seal-lower'; readonly by: string }
	/** Locks that hold the retainer higher (+) or lower (−); with a shim of that thickness, or without. */
	| { readonly type: 'locks'; readonly by: string; readonly keepsHeight: boolean }
	/** A cap of this thickness over the tip; '0 mm' takes it off. */
	| { readonly type: 'lash-cap'; readonly by: string }
	/** Another valve lift. */
	| { readonly type: 'lift'; readonly by: string }
	/** No shim under any spring. */
	| { readonly type: 'shims-out' }
	/** Parts of the library: the one that is meant first, then those that must come with it. */
	| { readonly type: 'parts'; readonly parts: readonly PartAt[]; readonly keepsHeight: boolean };
