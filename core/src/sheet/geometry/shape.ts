/**
 * What a drawing is made of: plain values that any renderer can draw. Points are
 * [x, y] in the picture's own units, y down from its top left corner.
 */
export type PlanePoint = readonly [x: number, y: number];

/** What a shape stands for; a renderer chooses its colours by it. */
export type Role =
	| 'pocket'
	| 'casting'
	| 'port'
	| 'seat-insert'
	| 'shim'
	| 'locator'
	| 'guide'
	| 'seal'
	| 'garter'
	| 'coil'
	| 'inner-coil'
	| 'damper'
	| 'retainer'
	| 'lock'
	| 'bead'
	| 'valve'
	| 'cap'
	| 'wafer'
	| 'before';

interface Drawn {
	readonly role: Role;
	/** Drawn though nobody gave its size. */
	readonly isAssumed?: boolean;
}

export type Shape = Drawn &
	(
		| { readonly type: 'circle'; readonly at: PlanePoint; readonly radius: number }
		| { readonly type: 'outline'; readonly points: readonly PlanePoint[] }
	);

/** A distance that is shown as a figure beside its line. */
export interface DimensionLine {
	/** The distance itself, in mm. */
	readonly length: number;
	/** Ends of its line, from the higher to the lower. */
	readonly from: PlanePoint;
	readonly to: PlanePoint;
}

export interface Picture {
	readonly width: number;
	readonly height: number;
	readonly shapes: readonly Shape[];
}
