/**
 * Where an engine's valve stations are: which head, which cylinder, which
 * valve, and where each lies when the heads are on the bench.
 */

export const KINDS = ['intake', 'exhaust'] as const;
export type Kind = (typeof KINDS)[number];
export const ARRANGEMENTS = ['inline', 'V', 'flat'] as const;
export const NUMBERINGS = ['bank by bank', 'alternating'] as const;
export const PAIRINGS = ['mirrored', 'repeated'] as const;

export interface Layout {
	readonly arrangement: (typeof ARRANGEMENTS)[number];
	readonly cylinders: number;
	readonly valvesPerCylinder: 2 | 4;
	/** V and flat engines: 1-2-3 | 4-5-6, or 1-3-5 | 2-4-6. */
	readonly numbering: (typeof NUMBERINGS)[number];
	/** Two valves in a row: I E · E I · I E, or I E · I E · I E. */
	readonly pairing: (typeof PAIRINGS)[number];
}

export interface StationPlace {
	/** Cylinder number, I or E, and a or b where there are two of a kind: "3I", "12Eb". */
	readonly label: string;
	readonly head: string;
	readonly cylinder: number;
	readonly kind: Kind;
	/** Position along the head in cylinder pitches, from the left end as it lies on the bench. */
	readonly along: number;
	/** Row across the head: 0 is the far row, 1 the near one; 0.5 for a single row. */
	readonly across: number;
}

/** The heads of a layout: one for an inline engine, two for a V or flat one. */
export function headsOf(layout: Layout): readonly { id: string; name: string }[] {
	if (layout.arrangement === 'inline') return [{ id: 'A', name: 'head' }];
	return [
		{ id: 'A', name: 'left head' },
		{ id: 'B', name: 'right head' }
	];
}

/**
 * Every valve station of a layout, head by head, in the order they lie along
 * the bench from the left.
 *
 * @throws RangeError for a V or flat engine with an odd number of cylinders
 */
export function stationsOf(layout: Layout): StationPlace[] {
	const heads = headsOf(layout);
	if (layout.cylinders % heads.length !== 0) {
		throw new RangeError(`${layout.cylinders} cylinders do not divide over two heads`);
	}
	const perHead = layout.cylinders / heads.length;
	return heads.flatMap((head, bank) =>
		range(perHead).flatMap((position) => {
			const cylinder =
				layout.numbering === 'alternating'
					? position * heads.length + bank + 1
					: bank * perHead + position + 1;
			return valvesOf(layout, position).map(({ suffix, ...valve }) => ({
				label: `${cylinder}${valve.kind === 'intake' ? 'I' : 'E'}${suffix}`,
				head: head.id,
				cylinder,
				...valve
			}));
		})
	);
}

/** The valves of one cylinder, left to right, for the cylinder at this position in its head. */
function valvesOf(layout: Layout, position: number) {
	if (layout.valvesPerCylinder === 4) {
		return (['a', 'b'] as const).flatMap((suffix, i) =>
			KINDS.map((kind, across) => ({ kind, suffix, along: position + 0.27 + 0.46 * i, across }))
		);
	}
	const mirrored = layout.pairing === 'mirrored' && position % 2 === 1;
	const order = mirrored ? KINDS.toReversed() : KINDS;
	return order.map((kind, i) => ({
		kind,
		suffix: '',
		along: position + 0.28 + 0.44 * i,
		across: 0.5
	}));
}

const range = (length: number) => Array.from({ length }, (_, i) => i);
