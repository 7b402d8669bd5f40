/** Which readings are believed without asking. */
import { inches, lengthOf, mm, type Band } from '../../foundation/units/index.ts';
import type { InPlaceEntry, Inspected, Quantity } from '../../job/document/index.ts';
import type { KindSheet } from './kind.ts';

/** A height further than this part of its aim from it is asked about. */
const HEIGHT_REACH = 0.08;

/** Where figures of an inspection lie, in mm; those of a chamber in cubic centimetres. */
const INSPECTED_BANDS: Readonly<Record<Inspected, Band<number>>> = {
	'valve-length': { from: 60, to: 220 },
	'tip-length': { from: 1, to: 20 },
	'stem-diameter': { from: 4, to: 15 },
	'stem-clearance': { from: 0.005, to: 0.5 },
	'seat-width': { from: 0.3, to: 5 },
	'seat-run-out': { from: 0, to: 0.5 },
	'valve-margin': { from: 0.2, to: 5 },
	'stem-height': { from: 20, to: 90 },
	'head-below-deck': { from: 0, to: 15 },
	'valve-lift': { from: 3, to: 25 },
	'chamber-volume': { from: 10, to: 300 }
};

/**
 * The band in which a reading is plausible. A height is expected near its aim,
 * whatever was under the gauge; without an aim, between the least and the
 * greatest spring anyone fits. A closed seal gap must have room for the lift.
 *
 * @returns ends of the band in mm, or in N for an on-head load; a reading outside is asked about, never refused
 */
export function plausibleBand(
	quantity: Quantity,
	kind: KindSheet,
	inPlace: InPlaceEntry
): Band<number> {
	switch (quantity) {
		case 'installed-height': {
			const aim = kind.target.height;
			if (aim === null) return { from: inches(0.8), to: inches(3.2) };
			const reach = aim * HEIGHT_REACH;
			const withoutLocator = lengthOf(inPlace.locator) === 0 ? inches(0.2) : 0;
			return { from: mm(aim - reach), to: mm(aim + reach + withoutLocator) };
		}
		case 'built-height': {
			const aim = kind.target.height;
			return aim === null
				? { from: inches(0.8), to: inches(3.2) }
				: { from: mm(aim * (1 - HEIGHT_REACH)), to: mm(aim * (1 + HEIGHT_REACH)) };
		}
		case 'preload':
			return { from: mm(0), to: mm(5) };
		case 'follower-shim':
			return { from: mm(1), to: mm(6) };
		case 'seal-gap': {
			const lift = kind.lift?.gross;
			return lift === undefined
				? { from: mm(3), to: mm(30) }
				: { from: mm(lift * 0.9), to: mm(lift + 8) };
		}
		case 'seal-gap-at-lift':
			return { from: mm(0), to: mm(8) };
		case 'rocker-closed':
		case 'rocker-half-lift':
		case 'rocker-full-lift':
			return { from: mm(0), to: mm(25) };
		case 'on-head-load':
			return { from: 40, to: 3000 };
		case 'tip-height':
			return { from: mm(0), to: mm(25) };
		case 'lash':
			return { from: mm(0.02), to: mm(1.2) };
		default:
			return INSPECTED_BANDS[quantity];
	}
}
