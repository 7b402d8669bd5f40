/** What a kit's paper says, from its parts. */
import {
	lengthOf,
	mm,
	type Kind,
	type Kit,
	type LibraryPart,
	type Millimetres
} from '@zinc-ledger/core';

export interface Paper {
	readonly seat?: { readonly height: string; readonly load: string };
	readonly open?: { readonly height: string; readonly load: string };
	/** The lift that the open load is stated at. */
	readonly openLift: Millimetres | null;
	readonly bind?: string;
	readonly maxLift?: string;
	readonly seal?: string;
	readonly locator?: string;
}

export function paperOfKit(kit: Kit, parts: ReadonlyMap<string, LibraryPart>, kind: Kind): Paper {
	const spring = parts.get(kit.kinds[kind].spring ?? '');
	const seal = parts.get(kit.kinds[kind].seal ?? '')?.part.name;
	const locator = parts.get(kit.kinds[kind].locator ?? '')?.part.name;
	const named = { ...(seal && { seal }), ...(locator && { locator }) };
	if (spring?.type !== 'spring') return { openLift: null, ...named };
	const { seat, open, bind, maxLift } = spring.part;
	return {
		seat,
		...(open && { open }),
		openLift: open ? mm(lengthOf(seat.height) - lengthOf(open.height)) : null,
		bind,
		...(maxLift && { maxLift }),
		...named
	};
}
